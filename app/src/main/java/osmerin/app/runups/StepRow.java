package osmerin.app.runups;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepProgress;
import osmerin.core.runup.StepRole;

/** A step of a round as it is stored. */
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
    @Nullable LocalDate pinned,
    @Nullable LocalDate doneOn,
    @Nullable Instant doneAt,
    @Nullable Long doneById,
    @Nullable String doneBy,
    @Nullable LocalDate doneDue) {

  /** As the run-up has it. */
  public RunUpStep step() {
    return new RunUpStep(key, name, role, estimate, length, after, dayOffset, followUp);
  }

  /** How far it is. */
  public StepProgress progress() {
    return doneOn != null ? StepProgress.doneOn(doneOn, doneDue) : StepProgress.open(pinned, null);
  }
}
