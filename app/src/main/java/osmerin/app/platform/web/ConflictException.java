package osmerin.app.platform.web;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Somebody changed a value after the person who sends another one had looked at it. Nothing was
 * stored.
 *
 * @see Errors the page that shows both side by side, and sends the person's own again if wanted
 */
public final class ConflictException extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final transient Field of;
  private final String theirs;
  private final String yours;
  private final @Nullable String who;
  private final transient Map<String, String> seenNow;

  /**
   * What was changed.
   *
   * @param thing "MP-0012"
   * @param name "Publish date"
   */
  public record Field(String thing, String name) {}

  /**
   * @param theirs the value that stands now, in words
   * @param yours the value that was sent, in words
   * @param who changed it last, and when; null when that is not known
   * @param seenNow the form's fields that say what the person has seen, with what stands now
   */
  public ConflictException(
      Field of, String theirs, String yours, @Nullable String who, Map<String, String> seenNow) {
    super("somebody else changed " + of.name() + " of " + of.thing());
    this.of = of;
    this.theirs = theirs;
    this.yours = yours;
    this.who = who;
    this.seenNow = Map.copyOf(seenNow);
  }

  public String thing() {
    return of.thing();
  }

  public String field() {
    return of.name();
  }

  public String theirs() {
    return theirs;
  }

  public String yours() {
    return yours;
  }

  public @Nullable String who() {
    return who;
  }

  public Map<String, String> seenNow() {
    return seenNow;
  }
}
