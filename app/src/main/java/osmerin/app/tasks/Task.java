package osmerin.app.tasks;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A task on a person's desk that belongs to no article.
 *
 * @param hours of work, 0 when nobody said
 * @param day on which it is due
 * @param doneOn null while it is to be done
 */
public record Task(
    long id, String name, long personId, double hours, LocalDate day, @Nullable LocalDate doneOn) {
  /** Longer names are refused. */
  public static final int LONGEST_NAME = 120;

  /** Whether its day is over. */
  public boolean isLate(LocalDate today) {
    return doneOn == null && day.isBefore(today);
  }
}
