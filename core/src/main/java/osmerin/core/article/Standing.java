package osmerin.core.article;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.PlannedStep;
import osmerin.core.workday.WorkCalendar;

/**
 * How one round of an article stands today, as people are told it.
 *
 * @param days working days late for {@link State#LATE}, of slack for {@link State#AT_RISK} and
 *     {@link State#ON_COURSE}; else 0
 * @param earliest the earliest possible publish date for {@link State#IMPOSSIBLE}, else null
 */
public record Standing(State state, int days, @Nullable LocalDate earliest) {
  /** What a round can be. */
  public enum State {
    LIVE,
    ENDED,
    /** No step left to do but to wait for its hour: never late. */
    SET,
    /** Waits for something outside: neither late nor promised. */
    ON_HOLD,
    /** Set, and past its day: a fault, not a delay. */
    NOT_PUBLISHED,
    /** In work without a publish date. */
    NO_DATE,
    IMPOSSIBLE,
    LATE,
    AT_RISK,
    ON_COURSE;

    /** Whether nothing stands in the way of its date. */
    public boolean isOnCourse() {
      return this == ON_COURSE || this == SET;
    }

    /** Whether somebody must look at it today. */
    public boolean isLate() {
      return this == NOT_PUBLISHED || this == IMPOSSIBLE || this == LATE;
    }
  }

  /**
   * Judges.
   *
   * @param plan its back-plan of today
   */
  public static Standing of(
      Phase phase,
      @Nullable LocalDate publishDate,
      BackPlan plan,
      LocalDate today,
      WorkCalendar calendar) {
    return switch (phase) {
      case LIVE -> of(State.LIVE);
      case ENDED -> of(State.ENDED);
      // Whatever its stage, an article with steps to do is in hand.
      case SET ->
          plan.isOpen() ? inWork(plan, publishDate, today, calendar) : set(publishDate, today);
      case TO_COME, IN_HAND -> inWork(plan, publishDate, today, calendar);
    };
  }

  /** Of what is on hold, whatever its plan. */
  public static Standing onHold() {
    return of(State.ON_HOLD);
  }

  private static Standing set(@Nullable LocalDate publishDate, LocalDate today) {
    boolean missed = publishDate != null && publishDate.isBefore(today);
    return of(missed ? State.NOT_PUBLISHED : State.SET);
  }

  private static Standing inWork(
      BackPlan plan, @Nullable LocalDate publishDate, LocalDate today, WorkCalendar calendar) {
    if (publishDate == null) {
      return of(State.NO_DATE);
    }
    return switch (plan.course()) {
      case IMPOSSIBLE -> new Standing(State.IMPOSSIBLE, 0, plan.earliestPublishDate());
      case LATE -> new Standing(State.LATE, daysLate(plan, publishDate, today, calendar), null);
      case AT_RISK -> new Standing(State.AT_RISK, slack(plan, publishDate, today, calendar), null);
      case ON_COURSE ->
          new Standing(State.ON_COURSE, slack(plan, publishDate, today, calendar), null);
    };
  }

  private static Standing of(State state) {
    return new Standing(state, 0, null);
  }

  /** With nothing left to do, the working days until it is to be published. */
  private static int slack(
      BackPlan plan, LocalDate publishDate, LocalDate today, WorkCalendar calendar) {
    return plan.open().stream()
        .mapToInt(PlannedStep::slack)
        .min()
        .orElseGet(() -> calendar.between(today, publishDate));
  }

  /** At least one: what is late over a day off is a day late. */
  private static int daysLate(
      BackPlan plan, LocalDate publishDate, LocalDate today, WorkCalendar calendar) {
    int days =
        plan.open().stream()
            .mapToInt(step -> calendar.between(step.due(), today))
            .max()
            .orElseGet(() -> calendar.between(publishDate, today));
    return Math.max(1, days);
  }
}
