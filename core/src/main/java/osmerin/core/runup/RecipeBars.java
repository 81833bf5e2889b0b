package osmerin.core.runup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import osmerin.core.workday.WorkCalendar;

/**
 * A recipe laid on a line of working days around the publish day, begun as late as it can be.
 *
 * @param bars a bar for each step, in their order
 * @param daysBefore working days before the publish day on which work is done
 */
public record RecipeBars(List<Bar> bars, int daysBefore) {
  /** Any day will do, since in this calendar every day is a working day. */
  private static final LocalDate PUBLISH = LocalDate.of(2000, 1, 1);

  private static final WorkCalendar EVERY_DAY =
      new WorkCalendar(EnumSet.allOf(DayOfWeek.class), Set.of());

  /**
   * A step on the line.
   *
   * @param from first day, 0 being the publish day
   * @param to last day, from {@code from} on
   * @param deciding whether its length decides how early the work begins
   */
  public record Bar(RunUpStep step, int from, int to, boolean deciding) {}

  /** Lays the steps out. */
  public static RecipeBars of(List<RunUpStep> steps) {
    RunUp runUp = new RunUp("recipe", 0, steps);
    LocalDate begin =
        plan(runUp, PUBLISH.minusDays(longest(steps))).steps().stream()
            .filter(step -> !step.step().followUp())
            .map(PlannedStep::latestStart)
            .filter(Objects::nonNull)
            .min(LocalDate::compareTo)
            .orElse(PUBLISH);
    BackPlan plan = plan(runUp, begin);
    Set<String> deciding = plan.deciding().stream().map(RunUpStep::key).collect(Collectors.toSet());
    List<Bar> bars = new ArrayList<>();
    for (PlannedStep step : plan.steps()) {
      bars.add(bar(step, deciding.contains(step.step().key())));
    }
    return new RecipeBars(bars, (int) ChronoUnit.DAYS.between(begin, PUBLISH));
  }

  /** More days than the steps before publishing can take. */
  private static int longest(List<RunUpStep> steps) {
    int days = steps.stream().mapToInt(RunUpStep::length).sum();
    return steps.stream()
        .map(RunUpStep::offset)
        .filter(Objects::nonNull)
        .mapToInt(Math::abs)
        .reduce(days + 1, Integer::sum);
  }

  private static BackPlan plan(RunUp runUp, LocalDate today) {
    return BackPlan.of(BackPlan.Request.of(runUp, PUBLISH, today, EVERY_DAY, Map.of()));
  }

  /** As early as it can be done; what has a day of its own stands on that. */
  private static Bar bar(PlannedStep step, boolean deciding) {
    boolean fixed = step.step().offset() != null;
    LocalDate from = fixed ? step.latestStart() : step.earliestStart();
    LocalDate to = fixed ? step.latestEnd() : step.earliestEnd();
    return new Bar(step.step(), day(from), day(to), deciding);
  }

  private static int day(LocalDate date) {
    return (int) ChronoUnit.DAYS.between(PUBLISH, date);
  }
}
