package osmerin.core.runup;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import osmerin.core.workday.WorkCalendar;

/** The rules of back-planning, day by day and without a thought for speed. */
final class PlainPlan {
  private final RunUp runUp;
  private final LocalDate publish;
  private final LocalDate today;
  private final Predicate<LocalDate> site;
  private final Map<String, WorkCalendar> calendars;
  private final Map<String, StepProgress> progress;

  PlainPlan(BackPlan.Request request) {
    runUp = request.runUp();
    publish = request.publishDate();
    today = request.today();
    site = request.calendar()::isWorking;
    calendars = new HashMap<>();
    runUp.steps().forEach(s -> calendars.put(s.key(), request.calendarOf().apply(s)));
    progress = request.progress();
  }

  boolean isDone(RunUpStep step) {
    return progress.getOrDefault(step.key(), StepProgress.OPEN).isDone();
  }

  private int left(RunUpStep step) {
    Integer left = progress.getOrDefault(step.key(), StepProgress.OPEN).daysLeft();
    return left == null ? step.length() : left;
  }

  private boolean works(RunUpStep step, LocalDate day) {
    return calendars.get(step.key()).isWorking(day);
  }

  private RunUpStep named(String key) {
    return runUp.steps().stream().filter(s -> s.key().equals(key)).findFirst().orElseThrow();
  }

  LocalDate earliestStart(RunUpStep step) {
    LocalDate day = today;
    while (!works(step, day) || !isFree(step, day)) {
      day = day.plusDays(1);
    }
    return day;
  }

  /** Whether the step may begin, or one of no length be done, on the day. */
  private boolean isFree(RunUpStep step, LocalDate day) {
    if (step.followUp() && !day.isAfter(publish)) {
      return false;
    }
    for (String key : step.after()) {
      RunUpStep before = named(key);
      if (!isDone(before)) {
        LocalDate end = earliestEnd(before);
        if (left(step) == 0 ? day.isBefore(end) : !day.isAfter(end)) {
          return false;
        }
      }
    }
    return true;
  }

  LocalDate earliestEnd(RunUpStep step) {
    LocalDate day = earliestStart(step);
    for (int worked = 1; worked < left(step); worked++) {
      do {
        day = day.plusDays(1);
      } while (!works(step, day));
    }
    return day;
  }

  private LocalDate siteDaysBefore(LocalDate day, int count) {
    for (int i = 0; i < count; i++) {
      do {
        day = day.minusDays(1);
      } while (!site.test(day));
    }
    return day;
  }

  private LocalDate siteDayOnOrBefore(LocalDate day) {
    while (!site.test(day)) {
      day = day.minusDays(1);
    }
    return day;
  }

  private LocalDate onOrBefore(RunUpStep step, LocalDate day) {
    while (!works(step, day)) {
      day = day.minusDays(1);
    }
    return day;
  }

  LocalDate latestEnd(RunUpStep step) {
    if (step.followUp()) {
      if (step.offset() == null) {
        return earliestEnd(step);
      }
      LocalDate day = siteDayOnOrBefore(publish);
      for (int i = 0; i < step.offset(); i++) {
        do {
          day = day.plusDays(1);
        } while (!site.test(day));
      }
      return onOrBefore(step, day);
    }
    List<LocalDate> bounds = new ArrayList<>();
    if (step.offset() != null) {
      bounds.add(
          step.offset() == 0
              ? siteDayOnOrBefore(publish)
              : siteDaysBefore(publish, -step.offset()));
    }
    for (RunUpStep other : runUp.steps()) {
      if (other.after().contains(step.key()) && !isDone(other) && !other.followUp()) {
        bounds.add(left(other) == 0 ? latestEnd(other) : latestStart(other).minusDays(1));
      }
    }
    if (bounds.isEmpty()) {
      bounds.add(siteDaysBefore(publish, 1));
    }
    return onOrBefore(step, bounds.stream().min(LocalDate::compareTo).orElseThrow());
  }

  LocalDate latestStart(RunUpStep step) {
    LocalDate day = latestEnd(step);
    for (int worked = 1; worked < left(step); worked++) {
      do {
        day = day.minusDays(1);
      } while (!works(step, day));
    }
    return day;
  }

  LocalDate due(RunUpStep step) {
    LocalDate pinned = progress.getOrDefault(step.key(), StepProgress.OPEN).pinned();
    if (pinned != null) {
      return onOrBefore(step, pinned);
    }
    LocalDate end = latestEnd(step);
    return step.followUp() || runUp.cushion() == 0
        ? end
        : onOrBefore(step, siteDaysBefore(end, runUp.cushion()));
  }

  int slack(RunUpStep step) {
    LocalDate first = earliestEnd(step);
    LocalDate last = latestEnd(step);
    return first.isAfter(last) ? -Math.max(1, siteDays(last, first)) : siteDays(first, last);
  }

  /** After the one up to and with the other. */
  private int siteDays(LocalDate after, LocalDate to) {
    return (int) after.plusDays(1).datesUntil(to.plusDays(1)).filter(site).count();
  }

  private List<RunUpStep> open() {
    return runUp.steps().stream().filter(s -> !s.followUp() && !isDone(s)).toList();
  }

  Course course() {
    List<RunUpStep> open = open();
    if (open.stream().anyMatch(s -> slack(s) < 0)) {
      return Course.IMPOSSIBLE;
    }
    if (open.isEmpty() && publish.isBefore(today)
        || open.stream().anyMatch(s -> due(s).isBefore(today))) {
      return Course.LATE;
    }
    return open.stream().anyMatch(s -> earliestEnd(s).isAfter(due(s)))
        ? Course.AT_RISK
        : Course.ON_COURSE;
  }

  List<String> deciding() {
    int least = open().stream().mapToInt(this::slack).min().orElse(0);
    return open().stream().filter(s -> slack(s) == least).map(RunUpStep::key).toList();
  }

  boolean isPossible() {
    return open().stream().allMatch(s -> slack(s) >= 0);
  }
}
