package osmerin.core.article;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.Course;
import osmerin.core.runup.PlannedStep;
import osmerin.core.workday.WorkCalendar;

/**
 * How one round of an article stands today, as people are told it.
 *
 * @param days working days late for {@link State#LATE}, to spare for {@link State#AT_RISK} and
 *     {@link State#ON_COURSE}; else 0
 * @param earliest the earliest possible publish date for {@link State#IMPOSSIBLE}, else null
 */
public record Standing(State state, int days, @Nullable LocalDate earliest) {
  /** What a round can be. */
  public enum State {
    LIVE,
    ENDED,
    /** Nothing left to do but wait for its hour: never late. */
    SET,
    /** Set, and past its day: a fault, not a delay. */
    NOT_PUBLISHED,
    /** In work without a publish date. */
    NO_DATE,
    IMPOSSIBLE,
    LATE,
    AT_RISK,
    ON_COURSE;

    /** Whether somebody must look at it today. */
    public boolean isLate() {
      return this == NOT_PUBLISHED || this == IMPOSSIBLE || this == LATE;
    }
  }

  /**
   * Judges.
   *
   * @param plan its back-plan of today; null when it is live or ended
   */
  public static Standing of(
      Stage stage,
      @Nullable LocalDate publishDate,
      @Nullable BackPlan plan,
      LocalDate today,
      WorkCalendar calendar) {
    return switch (stage.phase()) {
      case LIVE -> of(State.LIVE);
      case ENDED -> of(State.ENDED);
      case SET ->
          of(publishDate != null && publishDate.isBefore(today) ? State.NOT_PUBLISHED : State.SET);
      case TO_COME, IN_HAND ->
          publishDate == null ? of(State.NO_DATE) : inWork(plan, today, calendar);
    };
  }

  private static Standing inWork(BackPlan plan, LocalDate today, WorkCalendar calendar) {
    return switch (plan.course()) {
      case IMPOSSIBLE -> new Standing(State.IMPOSSIBLE, 0, plan.earliestPublishDate());
      case LATE -> new Standing(State.LATE, daysLate(plan, today, calendar), null);
      case AT_RISK -> new Standing(State.AT_RISK, slack(plan), null);
      case ON_COURSE -> new Standing(State.ON_COURSE, slack(plan), null);
    };
  }

  private static Standing of(State state) {
    return new Standing(state, 0, null);
  }

  private static int slack(BackPlan plan) {
    return plan.steps().stream()
        .filter(step -> !step.done() && !step.step().followUp())
        .mapToInt(PlannedStep::slack)
        .min()
        .orElse(0);
  }

  private static int daysLate(BackPlan plan, LocalDate today, WorkCalendar calendar) {
    return plan.steps().stream()
        .filter(step -> !step.done() && !step.step().followUp())
        .mapToInt(step -> calendar.between(step.due(), today))
        .max()
        .orElse(0);
  }

  /** The course to count by in a month's pace; null unless it is in work with a date. */
  public @Nullable Course course() {
    return switch (state) {
      case IMPOSSIBLE -> Course.IMPOSSIBLE;
      case LATE -> Course.LATE;
      case AT_RISK -> Course.AT_RISK;
      case ON_COURSE -> Course.ON_COURSE;
      case LIVE, ENDED, SET, NOT_PUBLISHED, NO_DATE -> null;
    };
  }
}
