package osmerin.app.runups;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.Completion;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepProgress;
import osmerin.core.runup.StepRole;

/**
 * A step of a round as it is stored.
 *
 * @param personId who does this very step, null for whoever has its role
 * @param realHours that it took, null while nobody said
 */
public record StepRow(
    long id,
    long roundId,
    String key,
    String name,
    StepRole role,
    double estimate,
    int length,
    List<String> after,
    @Nullable Integer dayOffset,
    boolean followUp,
    Completion completedBy,
    @Nullable Long personId,
    @Nullable LocalDate pinned,
    @Nullable LocalDate doneOn,
    @Nullable Instant doneAt,
    @Nullable Long doneById,
    @Nullable String doneBy,
    @Nullable LocalDate doneDue,
    @Nullable Double realHours) {

  /** Who does a step: who is named for it, or else for its role; null when nobody is. */
  public static @Nullable Long holder(@Nullable Long onStep, @Nullable Long ofRole) {
    return onStep != null ? onStep : ofRole;
  }

  /** As the run-up has it. */
  public RunUpStep step() {
    return new RunUpStep(
        key, name, role, estimate, length, after, dayOffset, followUp, completedBy);
  }

  /** How far it is. */
  public StepProgress progress() {
    return doneOn != null ? StepProgress.doneOn(doneOn, doneDue) : StepProgress.open(pinned, null);
  }

  /** A step as it would be stored; it has no id yet, and whoever did it no name. */
  public static StepRow of(long roundId, StepState state) {
    RunUpStep step = state.step();
    return new StepRow(
        0,
        roundId,
        step.key(),
        step.name(),
        step.role(),
        step.estimate(),
        step.length(),
        step.after(),
        step.offset(),
        step.followUp(),
        step.completedBy(),
        state.personId(),
        state.pinned(),
        state.doneOn(),
        state.doneAt(),
        state.doneBy(),
        null,
        state.doneDue(),
        state.realHours());
  }

  /** All that is kept of it. */
  public StepState state() {
    return new StepState(step(), personId, pinned, doneOn, doneAt, doneById, doneDue, realHours);
  }
}
