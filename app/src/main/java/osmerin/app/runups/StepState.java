package osmerin.app.runups;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.RunUpStep;

/**
 * Everything a round keeps about one of its steps.
 *
 * @param personId who does this very step, null for whoever has its role
 * @param pinned a due date set by a person
 * @param doneOn null while it is not done; the others then too
 * @param realHours that it took, null while nobody said
 */
public record StepState(
    RunUpStep step,
    @Nullable Long personId,
    @Nullable LocalDate pinned,
    @Nullable LocalDate doneOn,
    @Nullable Instant doneAt,
    @Nullable Long doneBy,
    @Nullable LocalDate doneDue,
    @Nullable Double realHours) {

  public String key() {
    return step.key();
  }

  /** One that is to be done, by whoever has its role, when the plan says. */
  public static StepState open(RunUpStep step) {
    return new StepState(step, null, null, null, null, null, null, null);
  }

  /** The same progress of a step that was changed. */
  public StepState with(RunUpStep changed) {
    return new StepState(changed, personId, pinned, doneOn, doneAt, doneBy, doneDue, realHours);
  }

  /** The step, open, for another person or pinned elsewhere. */
  public StepState with(@Nullable Long person, @Nullable LocalDate pin) {
    return new StepState(step, person, pin, doneOn, doneAt, doneBy, doneDue, realHours);
  }

  public boolean isDone() {
    return doneOn != null;
  }

  /** Whether it is planned the same as another; ticks aside. */
  public boolean isPlannedAs(StepState other) {
    return step.equals(other.step)
        && Objects.equals(personId, other.personId)
        && Objects.equals(pinned, other.pinned);
  }
}
