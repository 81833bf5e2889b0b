package osmerin.app.history;

import org.jspecify.annotations.Nullable;

/**
 * What was done to one value of one thing.
 *
 * @param key of the thing, as {@link Thing} says
 * @param field "Publish date"
 * @param before in words, null for nothing
 * @param after in words, null for nothing
 * @param from the value that an undo puts back: one as text, several as a {@link Kept}
 * @param to the value that an undo must find
 * @param reversible whether an undo can put it back
 */
public record Change(
    Thing thing,
    String key,
    String field,
    @Nullable String before,
    @Nullable String after,
    @Nullable String from,
    @Nullable String to,
    boolean reversible) {

  /** One that can be taken back, its values being words already. */
  public static Change of(
      Thing thing, Object key, String field, @Nullable String before, @Nullable String after) {
    return new Change(thing, key.toString(), field, before, after, before, after, true);
  }

  /**
   * The same with other values for an undo than words.
   *
   * @param back the value that an undo puts back, null for nothing
   * @param there the value that it must find, null for nothing
   */
  public Change keeping(@Nullable Object back, @Nullable Object there) {
    return new Change(thing, key, field, before, after, text(back), text(there), reversible);
  }

  /** One that stays. */
  public static Change lasting(
      Thing thing, Object key, String field, @Nullable String before, @Nullable String after) {
    return new Change(thing, key.toString(), field, before, after, null, null, false);
  }

  private static @Nullable String text(@Nullable Object value) {
    if (value instanceof Kept kept) {
      return KeptJson.write(kept);
    }
    return value == null ? null : value.toString();
  }

  /** The value that an undo puts back; null for nothing. */
  public <T extends Kept> @Nullable T from(Class<T> kind) {
    return from == null ? null : KeptJson.read(from, kind);
  }

  /** The value that an undo must find; null for nothing. */
  public <T extends Kept> @Nullable T to(Class<T> kind) {
    return to == null ? null : KeptJson.read(to, kind);
  }

  /** The same change the other way round. */
  Change turned() {
    return new Change(thing, key, field, after, before, to, from, reversible);
  }
}
