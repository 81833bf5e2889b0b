package osmerin.app.articles;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
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

  /** People of the three roles that are named, for a form. */
  public static Map<StepRole, Long> people(
      @Nullable Long strategist, @Nullable Long editor, @Nullable Long writer) {
    Map<StepRole, Long> people = new HashMap<>();
    putIfNamed(people, StepRole.STRATEGIST, strategist);
    putIfNamed(people, StepRole.EDITOR, editor);
    putIfNamed(people, StepRole.WRITER, writer);
    return people;
  }

  private static void putIfNamed(Map<StepRole, Long> people, StepRole role, @Nullable Long person) {
    if (Objects.nonNull(person)) {
      people.put(role, person);
    }
  }
}
