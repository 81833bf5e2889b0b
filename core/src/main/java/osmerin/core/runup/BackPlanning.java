package osmerin.core.runup;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.workday.WorkCalendar;

/** The two passes of one {@link BackPlan}. */
final class BackPlanning {
  private record Span(LocalDate start, LocalDate end) {}

  private final BackPlan.Request request;
  private final WorkCalendar site;
  private final Map<String, List<RunUpStep>> followers;
  private final Map<String, Span> earliest = new HashMap<>();
  private final Map<String, Span> latest;

  BackPlanning(BackPlan.Request request) {
    this.request = request;
    this.site = request.calendar();
    this.followers = request.runUp().followers();
    request.runUp().steps().forEach(this::forward);
    this.latest =
        request.publishDate() == null
            ? Map.of()
            : back(request.runUp().steps(), request.publishDate());
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

  /** Latest: what of the steps is not done, back from a publish day. */
  private Map<String, Span> back(List<RunUpStep> steps, LocalDate publishDate) {
    Map<String, Span> spans = new HashMap<>();
    for (int i = steps.size() - 1; i >= 0; i--) {
      RunUpStep step = steps.get(i);
      if (!isDone(step)) {
        WorkCalendar calendar = request.calendarOf().apply(step);
        LocalDate bound =
            step.followUp()
                ? afterPublishing(step, publishDate)
                : beforePublishing(step, publishDate, spans);
        LocalDate end = calendar.onOrBefore(bound);
        spans.put(step.key(), new Span(calendar.minus(end, lastDay(step)), end));
      }
    }
    return spans;
  }

  /** A follow-up is bound by nothing but its offset. */
  private LocalDate afterPublishing(RunUpStep step, LocalDate publishDate) {
    return step.offset() == null
        ? earliest.get(step.key()).end()
        : site.plus(publishDate, step.offset());
  }

  /**
   * By its offset from the publish day, and before whatever waits for it must start; with neither
   * by the working day before the publish day.
   */
  private LocalDate beforePublishing(
      RunUpStep step, LocalDate publishDate, Map<String, Span> latest) {
    LocalDate bound = step.offset() == null ? null : site.plus(publishDate, step.offset());
    for (RunUpStep follower : followers.getOrDefault(step.key(), List.of())) {
      Span after = latest.get(follower.key());
      if (after != null && !follower.followUp()) {
        LocalDate last = request.daysLeft(follower) == 0 ? after.end() : after.start().minusDays(1);
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
      return new PlannedStep(step, false, first.start(), first.end(), null, null, pin, null, false);
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
    List<RunUpStep> before = request.runUp().beforePublishing();
    LocalDate date = site.onOrAfter(request.today());
    for (RunUpStep step : before) {
      Span span = earliest.get(step.key());
      if (span != null) {
        date = later(date, site.onOrAfter(span.end()));
      }
    }
    while (!isPossible(before, date)) {
      date = site.onOrAfter(date.plusDays(1));
    }
    return date;
  }

  private boolean isPossible(List<RunUpStep> before, LocalDate date) {
    return back(before, date).entrySet().stream()
        .noneMatch(last -> last.getValue().end().isBefore(earliest.get(last.getKey()).end()));
  }

  private static LocalDate later(LocalDate a, LocalDate b) {
    return a.isAfter(b) ? a : b;
  }

  private static LocalDate earlier(LocalDate a, LocalDate b) {
    return a.isBefore(b) ? a : b;
  }
}
