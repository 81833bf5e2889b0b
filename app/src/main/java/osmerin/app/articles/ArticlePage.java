package osmerin.app.articles;

import java.util.List;
import java.util.stream.Collectors;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;

/**
 * An article as its page shows it.
 *
 * @param planned the round that is shown
 * @param rounds all rounds, the first first
 * @param moves of all rounds, the latest first
 */
public record ArticlePage(PlannedRound planned, List<Round> rounds, List<StageMove> moves) {
  public Round round() {
    return planned.round();
  }

  /** Names of the steps that a step waits for; empty when it waits for none. */
  public String waitsFor(StepRow step) {
    return planned.steps().stream()
        .filter(other -> step.after().contains(other.key()))
        .map(StepRow::name)
        .collect(Collectors.joining(", "));
  }
}
