package osmerin.app.groups;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.RefusedException;

/** What holds for every name that a person gives to a topic or a group. */
public final class GivenName {
  public static final String FIELD = "Name";
  private static final int LONGEST = 200;

  private GivenName() {}

  /**
   * The name without space around it.
   *
   * @param otherwise what the refusal says of a name that is empty or too long
   */
  public static String of(String typed, String otherwise) {
    String name = typed.strip();
    if (name.isEmpty() || name.length() > LONGEST) {
      throw new RefusedException("A name has 1 to " + LONGEST + " characters. " + otherwise);
    }
    return name;
  }

  /** Somebody else named the thing: both names are shown. */
  public static ConflictException conflict(String now, String wanted, @Nullable String by) {
    return new ConflictException(
        new ConflictException.Field(now, FIELD), now, wanted, by, Map.of("seen", now));
  }
}
