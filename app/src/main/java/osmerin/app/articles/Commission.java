package osmerin.app.articles;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.runup.StepRole;

/**
 * What is commissioned.
 *
 * @param groupId the keyword group it answers, null when it answers none
 * @param people who does what; who usually does it for the type does what is left open
 */
public record Commission(
    String title,
    long typeId,
    @Nullable Long groupId,
    Map<StepRole, Long> people,
    @Nullable LocalDate publishDate) {
  /** Longer titles are refused. */
  public static final int LONGEST_TITLE = 200;

  /** The title that an article has until somebody finds a better one: the name of its group. */
  public static String titleOf(String group) {
    return group.substring(0, 1).toUpperCase(Locale.ROOT) + group.substring(1);
  }

  /**
   * A title without space around it.
   *
   * @throws RefusedException when it is empty or too long
   */
  public static String title(String typed) {
    String title = typed.strip().replaceAll("\\s+", " ");
    if (title.isEmpty() || title.length() > LONGEST_TITLE) {
      throw new RefusedException(
          "A title has 1 to "
              + LONGEST_TITLE
              + " characters; this one has "
              + title.length()
              + ".");
    }
    return title;
  }
}
