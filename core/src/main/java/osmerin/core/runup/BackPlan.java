package osmerin.core.runup;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import osmerin.core.workday.WorkCalendar;

/**
 * Works a run-up back from the publish day and forward from today.
 *
 * <p>Two passes. <em>Forward from today</em>: a step starts on the first working day after what it
 * waits for is done; a step that is done holds nothing up. <em>Back from the publish day</em>: a
 * step must be done by its offset from that day and before the steps that wait for it must start;
 * with neither by the working day before. Both count in the calendar of whoever does the step. The
 * due date is the latest end less the cushion, so that finishing on it is on course. Follow-ups are
 * due at their offset from the publish day, without a cushion, since the cushion guards the publish
 * date; without an offset as soon as they can be done. A date on a day off moves to the working day
 * before. Done steps do not move. Of a step that was begun only the working days that are left
 * count.
 *
 * @param steps in the order of the run-up
 * @param course null when there is no publish date
 * @param deciding the steps before publishing with least slack; empty without a publish date
 * @param earliestPublishDate the first working day on which the article could be published, also
 *     when it has no date
 */
public record BackPlan(
    List<PlannedStep> steps,
    @Nullable Course course,
    List<RunUpStep> deciding,
    LocalDate earliestPublishDate) {

  public BackPlan {
    steps = List.copyOf(steps);
    deciding = List.copyOf(deciding);
  }

  /**
   * The question a plan answers.
   *
   * @param publishDate null while the article has none
   * @param calendar the site's
   * @param calendarOf the calendar of whoever does the step
   * @param progress how far steps are, by key; a step without an entry is open
   */
  public record Request(
      RunUp runUp,
      @Nullable LocalDate publishDate,
      LocalDate today,
      WorkCalendar calendar,
      Function<RunUpStep, WorkCalendar> calendarOf,
      Map<String, StepProgress> progress) {

    /**
     * @throws IllegalArgumentException when there is progress for a step that the run-up lacks, or
     *     more days are left of a step than it takes, or fewer than none
     */
    public Request {
      progress = Map.copyOf(progress);
      Set<String> keys = runUp.keys();
      for (String key : progress.keySet()) {
        if (!keys.contains(key)) {
          throw new IllegalArgumentException("run-up " + runUp.name() + " has no step " + key);
        }
      }
      for (RunUpStep step : runUp.steps()) {
        Integer left = progress.getOrDefault(step.key(), StepProgress.OPEN).daysLeft();
        if (left != null && (left < 0 || left > step.length())) {
          throw new IllegalArgumentException(
              "step %s: %s days left are not between 0 and %s"
                  .formatted(step.key(), left, step.length()));
        }
      }
    }

    /** Everybody works in the site's calendar. */
    public static Request of(
        RunUp runUp,
        @Nullable LocalDate publishDate,
        LocalDate today,
        WorkCalendar calendar,
        Map<String, StepProgress> progress) {
      return new Request(runUp, publishDate, today, calendar, step -> calendar, progress);
    }

    StepProgress progress(RunUpStep step) {
      return progress.getOrDefault(step.key(), StepProgress.OPEN);
    }

    /** Working days that the step still takes. */
    int daysLeft(RunUpStep step) {
      Integer left = progress(step).daysLeft();
      return left == null ? step.length() : left;
    }
  }

  /** The steps before publishing that are not done. */
  public List<PlannedStep> open() {
    return open(steps);
  }

  static List<PlannedStep> open(List<PlannedStep> steps) {
    return steps.stream().filter(step -> !step.done() && !step.step().followUp()).toList();
  }

  /** Whether a step before publishing is to be done yet. */
  public boolean isOpen() {
    return !open().isEmpty();
  }

  /** Plans. */
  public static BackPlan of(Request request) {
    BackPlanning planning = new BackPlanning(request);
    List<PlannedStep> steps = planning.plan();
    List<PlannedStep> open = open(steps);
    return new BackPlan(
        steps, planning.course(open), planning.deciding(open), planning.earliestPublishDate());
  }
}
