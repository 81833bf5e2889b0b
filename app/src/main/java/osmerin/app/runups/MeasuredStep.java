package osmerin.app.runups;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A step that is done, and what it took.
 *
 * @param estimate hours that were planned
 * @param hours that it took
 * @param onStep who was named for the step itself
 * @param ofRole who was named for its role
 * @param doneBy who ticked it off
 */
public record MeasuredStep(
    long typeId,
    String typeName,
    String key,
    String name,
    double estimate,
    double hours,
    LocalDate doneOn,
    @Nullable Long onStep,
    @Nullable Long ofRole,
    @Nullable Long doneBy) {

  /** Who did it; if nobody was named, who ticked it off. */
  public @Nullable Long person() {
    Long holder = StepRow.holder(onStep, ofRole);
    return holder != null ? holder : doneBy;
  }
}
