package osmerin.app.articles;

import java.time.LocalDate;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.StepRole;

/**
 * What is commissioned.
 *
 * @param groupId the keyword group it answers, null when it answers none
 * @param people who does what; roles may be left open
 */
public record Commission(
    String title,
    long typeId,
    @Nullable Long groupId,
    Map<StepRole, Long> people,
    @Nullable LocalDate publishDate) {
  /** Longer titles are refused. */
  public static final int LONGEST_TITLE = 200;
}
