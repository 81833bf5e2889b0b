package osmerin.core.runup;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * How far a step is.
 *
 * @param doneOn null while it is not done
 * @param due the due date it had when it was done, null when it had none
 * @param pinned a due date set by a person, null when the plan decides
 * @param daysLeft working days that are left of its length, null for all of them
 */
public record StepProgress(
    @Nullable LocalDate doneOn,
    @Nullable LocalDate due,
    @Nullable LocalDate pinned,
    @Nullable Integer daysLeft) {
  /** Not done, due when the plan says. */
  public static final StepProgress OPEN = new StepProgress(null, null, null, null);

  public static StepProgress doneOn(LocalDate day, @Nullable LocalDate due) {
    return new StepProgress(day, due, null, null);
  }

  public static StepProgress pinnedTo(LocalDate due) {
    return new StepProgress(null, null, due, null);
  }

  /** One that is open, perhaps begun. */
  public static StepProgress open(@Nullable LocalDate pinned, @Nullable Integer daysLeft) {
    return new StepProgress(null, null, pinned, daysLeft);
  }

  public boolean isDone() {
    return doneOn != null;
  }
}
