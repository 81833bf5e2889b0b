package osmerin.app.articles;

import java.util.List;

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

  /** Whether the article was published before and a later round is in hand. */
  public boolean isBeingRefreshed() {
    return round().latest() && !round().isLive() && rounds.stream().anyMatch(Round::isLive);
  }
}
