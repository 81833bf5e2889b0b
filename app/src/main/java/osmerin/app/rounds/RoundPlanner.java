package osmerin.app.rounds;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.StepState;
import osmerin.app.workdays.SiteCalendars;
import osmerin.core.article.Standing;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.StepProgress;
import osmerin.core.runup.StepRole;
import osmerin.core.workday.WorkCalendar;

/** Works the plans of rounds out for one site and one day. */
public final class RoundPlanner {
  private final SiteCalendars calendars;
  private final LocalDate today;

  public RoundPlanner(SiteCalendars calendars, LocalDate today) {
    this.calendars = calendars;
    this.today = today;
  }

  public List<PlannedRound> plan(List<Round> rounds, List<StepRow> steps) {
    Map<Long, List<StepRow>> byRound =
        steps.stream().collect(Collectors.groupingBy(StepRow::roundId));
    return rounds.stream()
        .map(round -> plan(round, byRound.getOrDefault(round.id(), List.of())))
        .toList();
  }

  public PlannedRound plan(Round round, List<StepRow> steps) {
    BackPlan plan = backPlan(round, steps, round.day());
    Standing standing =
        round.isOnHold()
            ? Standing.onHold()
            : Standing.of(
                round.stage().phase(), round.publishDate(), plan, today, calendars.site());
    return new PlannedRound(round, steps, plan, standing, today);
  }

  /** Draws a round that was planned here over the days. */
  public RunUpDrawing draw(PlannedRound planned) {
    return RunUpDrawing.of(planned, calendars);
  }

  /** The round as it would be with these steps. */
  public PlannedRound planStates(Round round, List<StepState> states) {
    return plan(round, states.stream().map(state -> StepRow.of(round.id(), state)).toList());
  }

  /** The plan of a round that begins today and is done by these people. */
  public BackPlan fresh(RunUp runUp, Map<StepRole, Long> people, LocalDate publishDate) {
    return BackPlan.of(
        new BackPlan.Request(
            runUp,
            publishDate,
            today,
            calendars.site(),
            step -> calendars.of(people.get(step.role())),
            Map.of()));
  }

  /** The plan that the round would have with another publish date. */
  public BackPlan backPlan(Round round, List<StepRow> steps, @Nullable LocalDate publishDate) {
    RunUp runUp =
        new RunUp(round.typeName(), round.cushion(), steps.stream().map(StepRow::step).toList());
    Map<String, StepProgress> progress =
        steps.stream().collect(Collectors.toMap(StepRow::key, StepRow::progress));
    Map<String, WorkCalendar> holders = new HashMap<>();
    steps.forEach(step -> holders.put(step.key(), calendars.of(round.holder(step))));
    return BackPlan.of(
        new BackPlan.Request(
            runUp,
            publishDate,
            today,
            calendars.site(),
            step -> holders.get(step.key()),
            progress));
  }
}
