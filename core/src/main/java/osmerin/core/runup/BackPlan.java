package osmerin.core.runup;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
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

    Request publishedOn(LocalDate date) {
      return new Request(runUp, date, today, calendar, calendarOf, progress);
    }
  }

  /** The steps before publishing that are not done. */
  public List<PlannedStep> open() {
    return open(steps);
  }

  private static List<PlannedStep> open(List<PlannedStep> steps) {
    return steps.stream().filter(step -> !step.done() && !step.step().followUp()).toList();
  }

  /** Whether a step before publishing is to be done yet. */
  public boolean isOpen() {
    return !open().isEmpty();
  }

  /** Plans. */
  public static BackPlan of(Request request) {
    Worker worker = new Worker(request);
    List<PlannedStep> steps = worker.plan();
    List<PlannedStep> open = open(steps);
    return new BackPlan(
        steps, worker.course(open), worker.deciding(open), worker.earliestPublishDate());
  }

  /** One planning. */
  private static final class Worker {
    private record Span(LocalDate start, LocalDate end) {}

    private final Request request;
    private final WorkCalendar site;
    private final Map<String, Span> earliest = new HashMap<>();
    private final Map<String, Span> latest = new HashMap<>();

    Worker(Request request) {
      this.request = request;
      this.site = request.calendar();
      request.runUp().steps().forEach(this::forward);
      if (request.publishDate() != null) {
        List<RunUpStep> backwards = new ArrayList<>(request.runUp().steps());
        Collections.reverse(backwards);
        Map<String, List<RunUpStep>> followers = request.runUp().followers();
        backwards.forEach(step -> back(step, followers.getOrDefault(step.key(), List.of())));
      }
    }

    private boolean isDone(RunUpStep step) {
      return request.progress(step).isDone();
    }

    /** Earliest: from today, after everything it waits for; a follow-up also after publishing. */
    private void forward(RunUpStep step) {
      if (isDone(step)) {
        return;
      }
      WorkCalendar calendar = request.calendarOf().apply(step);
      LocalDate start = calendar.onOrAfter(request.today());
      for (String key : step.after()) {
        Span before = earliest.get(key);
        if (before != null) {
          LocalDate next = request.daysLeft(step) == 0 ? before.end() : before.end().plusDays(1);
          start = later(start, calendar.onOrAfter(next));
        }
      }
      if (step.followUp() && request.publishDate() != null) {
        start = later(start, calendar.onOrAfter(request.publishDate().plusDays(1)));
      }
      earliest.put(step.key(), new Span(start, calendar.plus(start, lastDay(step))));
    }

    private void back(RunUpStep step, List<RunUpStep> followers) {
      if (isDone(step)) {
        return;
      }
      WorkCalendar calendar = request.calendarOf().apply(step);
      LocalDate bound = step.followUp() ? afterPublishing(step) : beforePublishing(step, followers);
      LocalDate end = calendar.onOrBefore(bound);
      latest.put(step.key(), new Span(calendar.minus(end, lastDay(step)), end));
    }

    /** A follow-up is bound by nothing but its offset. */
    private LocalDate afterPublishing(RunUpStep step) {
      return step.offset() == null
          ? earliest.get(step.key()).end()
          : site.plus(request.publishDate(), step.offset());
    }

    /**
     * By its offset from the publish day, and before whatever waits for it must start; with neither
     * by the working day before the publish day.
     */
    private LocalDate beforePublishing(RunUpStep step, List<RunUpStep> followers) {
      LocalDate publishDate = request.publishDate();
      LocalDate bound = step.offset() == null ? null : site.plus(publishDate, step.offset());
      for (RunUpStep follower : followers) {
        Span after = latest.get(follower.key());
        if (after != null && !follower.followUp()) {
          LocalDate last =
              request.daysLeft(follower) == 0 ? after.end() : after.start().minusDays(1);
          bound = bound == null ? last : earlier(bound, last);
        }
      }
      return bound == null ? site.minus(publishDate, 1) : bound;
    }

    private int lastDay(RunUpStep step) {
      return Math.max(0, request.daysLeft(step) - 1);
    }

    List<PlannedStep> plan() {
      return request.runUp().steps().stream().map(this::planned).toList();
    }

    private PlannedStep planned(RunUpStep step) {
      StepProgress progress = request.progress(step);
      if (progress.isDone()) {
        return new PlannedStep(step, true, null, null, null, null, progress.due(), null, false);
      }
      Span first = earliest.get(step.key());
      Span last = latest.get(step.key());
      WorkCalendar calendar = request.calendarOf().apply(step);
      LocalDate pin = progress.pinned() == null ? null : calendar.onOrBefore(progress.pinned());
      if (last == null) {
        return new PlannedStep(
            step, false, first.start(), first.end(), null, null, pin, null, false);
      }
      boolean conflict = pin != null && (pin.isBefore(first.end()) || pin.isAfter(last.end()));
      LocalDate due = pin != null ? pin : due(step, calendar, last.end());
      int slack = slack(first.end(), last.end());
      return new PlannedStep(
          step, false, first.start(), first.end(), last.start(), last.end(), due, slack, conflict);
    }

    /** Negative whenever it cannot be done in time, though only days off lie between. */
    private int slack(LocalDate earliestEnd, LocalDate latestEnd) {
      return earliestEnd.isAfter(latestEnd)
          ? Math.min(-1, -site.between(latestEnd, earliestEnd))
          : site.between(earliestEnd, latestEnd);
    }

    private LocalDate due(RunUpStep step, WorkCalendar calendar, LocalDate latestEnd) {
      int cushion = step.followUp() ? 0 : request.runUp().cushion();
      return cushion == 0 ? latestEnd : calendar.onOrBefore(site.minus(latestEnd, cushion));
    }

    @Nullable Course course(List<PlannedStep> open) {
      if (request.publishDate() == null) {
        return null;
      }
      if (open.stream().anyMatch(s -> s.slack() < 0)) {
        return Course.IMPOSSIBLE;
      }
      boolean missed = open.isEmpty() && request.publishDate().isBefore(request.today());
      if (missed || open.stream().anyMatch(s -> s.due().isBefore(request.today()))) {
        return Course.LATE;
      }
      boolean atRisk = open.stream().anyMatch(s -> s.earliestEnd().isAfter(s.due()));
      return atRisk ? Course.AT_RISK : Course.ON_COURSE;
    }

    List<RunUpStep> deciding(List<PlannedStep> open) {
      if (request.publishDate() == null) {
        return List.of();
      }
      int least = open.stream().mapToInt(PlannedStep::slack).min().orElse(0);
      return open.stream().filter(s -> s.slack() == least).map(PlannedStep::step).toList();
    }

    /** The first working day from today on for which no step before publishing is impossible. */
    LocalDate earliestPublishDate() {
      LocalDate date = site.onOrAfter(request.today());
      for (RunUpStep step : request.runUp().beforePublishing()) {
        Span span = earliest.get(step.key());
        if (span != null) {
          date = later(date, site.onOrAfter(span.end()));
        }
      }
      while (!isPossible(date)) {
        date = site.onOrAfter(date.plusDays(1));
      }
      return date;
    }

    private boolean isPossible(LocalDate date) {
      Worker worker = new Worker(request.publishedOn(date));
      return request.runUp().beforePublishing().stream()
          .map(RunUpStep::key)
          .filter(worker.latest::containsKey)
          .noneMatch(key -> worker.latest.get(key).end().isBefore(worker.earliest.get(key).end()));
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
      return a.isAfter(b) ? a : b;
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
      return a.isBefore(b) ? a : b;
    }
  }
}
