package osmerin.app.articles;

import java.time.LocalDate;
import java.util.List;
import osmerin.core.article.Standing;
import osmerin.core.pace.PacedArticle;
import osmerin.core.runup.BackPlan;

/**
 * A round with its steps worked out for today.
 *
 * @param plan of today; once it is live, its follow-ups count from the day it went live
 */
public record PlannedRound(
    Round round, List<StepRow> steps, BackPlan plan, Standing standing, LocalDate today) {

  /** What the month's pace counts. */
  public PacedArticle paced() {
    boolean set =
        standing.state() == Standing.State.SET || standing.state() == Standing.State.NOT_PUBLISHED;
    LocalDate earliest = set ? today : plan.earliestPublishDate();
    return new PacedArticle(
        round.publishDate(),
        round.liveOn(),
        standing.course(),
        set,
        round.isLive() ? null : earliest);
  }
}
