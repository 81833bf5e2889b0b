package osmerin.app.types;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.runups.StepState;

/**
 * An open article, and what becomes of it when it follows its type.
 *
 * @param after with the steps it then has; null when what it has of its own doesn't go with them
 * @param states these steps, with all that is kept of them
 * @param changes to its steps, in words; empty when it has them already
 */
public record Follower(
    PlannedRound before,
    @Nullable PlannedRound after,
    List<StepState> states,
    List<String> changes) {
  public Follower {
    states = List.copyOf(states);
    changes = List.copyOf(changes);
  }

  /** Whether it can follow and something changes by that. */
  public boolean isChanged() {
    return after != null && !changes.isEmpty();
  }

  /** The earliest possible publish date before and after. */
  public LocalDate earliestBefore() {
    return before.plan().earliestPublishDate();
  }

  public @Nullable LocalDate earliestAfter() {
    return after == null ? null : after.plan().earliestPublishDate();
  }
}
