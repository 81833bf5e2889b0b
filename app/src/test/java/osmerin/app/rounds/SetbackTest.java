package osmerin.app.rounds;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import osmerin.app.runups.StepState;
import osmerin.app.workdays.SiteCalendars;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;
import osmerin.core.workday.WorkCalendar;

/** What people are asked about before dates or days change. */
class SetbackTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 11, 30);
  private static final RunUpStep DRAFT = RunUpStep.before("d", "Draft", StepRole.WRITER, 6, 3);
  private static final RoundPlanner PLANNER =
      new RoundPlanner(new SiteCalendars(WorkCalendar.MONDAY_TO_FRIDAY, Map.of()), MONDAY);

  private static PlannedRound planned(@Nullable LocalDate publish, @Nullable LocalDate pin) {
    Round round = TestRounds.eels(publish, 2);
    return PLANNER.planStates(round, List.of(StepState.open(DRAFT).with(null, pin)));
  }

  private static List<String> moved(PlannedRound before, LocalDate to) {
    BackPlan after = PLANNER.backPlan(before.round(), before.steps(), to);
    return Setback.of(before, after);
  }

  @Test
  void whatIsStillPossibleIsNoSetback() {
    assertThat(moved(planned(MONDAY.plusDays(25), null), MONDAY.plusDays(18))).isEmpty();
    assertThat(moved(planned(null, null), MONDAY.plusDays(18))).isEmpty();
  }

  @Test
  void whatBecomesImpossibleOrLateIsSaidOnceWithWhatIsPossible() {
    assertThat(moved(planned(MONDAY.plusDays(25), null), MONDAY.plusDays(1)))
        .containsExactly(
            "EX-0001 “Eels” becomes impossible; the earliest possible date is Thu 3 Dec");
    assertThat(moved(planned(null, null), MONDAY.plusDays(1))).hasSize(1);
    // It is impossible already.
    assertThat(moved(planned(MONDAY.plusDays(1), null), MONDAY.plusDays(2))).isEmpty();
    PlannedRound before = planned(MONDAY.plusDays(25), null);
    WorkCalendar away =
        WorkCalendar.MONDAY_TO_FRIDAY.without(
            Set.copyOf(MONDAY.datesUntil(MONDAY.plusDays(24)).toList()));
    RoundPlanner alone = new RoundPlanner(new SiteCalendars(away, Map.of()), MONDAY);
    assertThat(Setback.of(before, alone.plan(before.round(), before.steps()).plan()))
        .singleElement()
        .asString()
        .contains("becomes impossible");
  }

  @Test
  void aPinnedDayThatClashesFromThenOnIsSaid() {
    PlannedRound pinned = planned(MONDAY.plusDays(25), MONDAY.plusDays(18));

    assertThat(moved(pinned, MONDAY.plusDays(15)))
        .containsExactly("EX-0001 “Eels”: “Draft” is pinned to Fri 18 Dec, which clashes then");
    assertThat(moved(pinned, MONDAY.plusDays(32))).isEmpty();
  }
}
