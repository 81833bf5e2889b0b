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

  private final String thing;
  private final String field;
  private final String theirs;
  private final String yours;
  private final @Nullable String who;
  private final transient Map<String, String> seenNow;

  /**
   * @param thing "MP-0012"
   * @param field "Publish date"
   * @param theirs the value that stands now, in words
   * @param yours the value that was sent, in words
   * @param who changed it last, and when; null when that is not known
   * @param seenNow the form's fields that say what the person has seen, with what stands now
   */
  public ConflictException(
      String thing,
      String field,
      String theirs,
      String yours,
      @Nullable String who,
      Map<String, String> seenNow) {
    super("somebody else changed " + field + " of " + thing);
    this.thing = thing;
    this.field = field;
    this.theirs = theirs;
    this.yours = yours;
    this.who = who;
    this.seenNow = Map.copyOf(seenNow);
  }

  public String thing() {
    return thing;
  }

  public String field() {
    return field;
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
