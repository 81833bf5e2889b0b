package osmerin.app.rounds;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.runups.StepRow;
import osmerin.core.article.Standing;
import osmerin.core.pace.PacedArticle;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.PlannedStep;

/**
 * A round with its steps worked out for today.
 *
 * @param plan of today; once it is live, its follow-ups count from the day it went live
 */
public record PlannedRound(
    Round round, List<StepRow> steps, BackPlan plan, Standing standing, LocalDate today) {

  /** What the month's pace counts. */
  public PacedArticle paced() {
    boolean ready = standing.state() == Standing.State.NOT_PUBLISHED;
    LocalDate earliest = ready ? today : plan.earliestPublishDate();
    return new PacedArticle(
        round.publishDate(),
        round.publication().liveOn(),
        standing,
        round.isLive() ? null : earliest);
  }

  /** The slack of a step; a published article has none left to lose. */
  public @Nullable Integer slack(PlannedStep step) {
    return round.isLive() ? null : step.slack();
  }

  /** Whether a step is overdue; once the article is live only a follow-up can be. */
  public boolean isOverdue(PlannedStep step) {
    return !step.done()
        && !round.isOnHold()
        && (!round.isLive() || step.step().followUp())
        && step.due() != null
        && step.due().isBefore(today);
  }

  /** Whether a step is to be done in the time that is now: follow-ups are, once it is live. */
  public boolean isInHand(StepRow step) {
    return step.followUp() == round.isLive() && !round.isOnHold();
  }

  /** The steps that must be done before a step can start. */
  public List<StepRow> waitsFor(StepRow step) {
    return steps.stream()
        .filter(other -> other.doneOn() == null && step.after().contains(other.key()))
        .toList();
  }

  /** The steps to be done now that can start once a step is done. */
  public List<StepRow> startable(StepRow done) {
    return steps.stream()
        .filter(step -> step.doneOn() == null && isInHand(step))
        .filter(step -> step.after().contains(done.key()))
        .filter(step -> waitsFor(step).stream().allMatch(done::equals))
        .toList();
  }

  /** The steps that can start now; of what is on hold none. */
  public List<StepRow> startable() {
    return steps.stream()
        .filter(step -> step.doneOn() == null && isInHand(step))
        .filter(step -> waitsFor(step).isEmpty())
        .toList();
  }

  /** The first step that can start now: whose turn it is; null when nothing can. */
  public @Nullable StepRow turn() {
    return steps.stream()
        .filter(step -> step.doneOn() == null && step.followUp() == round.isLive())
        .filter(step -> waitsFor(step).isEmpty())
        .findFirst()
        .orElse(null);
  }

  /** The names of the steps before publishing that are to be done yet. */
  public List<String> openSteps() {
    return plan.open().stream().map(step -> step.step().name()).toList();
  }
}
