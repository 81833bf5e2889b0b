package osmerin.app.rounds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import osmerin.app.runups.StepState;
import osmerin.app.workdays.SiteCalendars;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;
import osmerin.core.workday.WorkCalendar;

/** Where the bars of a run-up stand among the days. */
class RunUpDrawingTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 12, 2);
  private static final LocalDate MONDAY = LocalDate.of(2026, 11, 30);
  private static final RunUpStep DRAFT = RunUpStep.before("d", "Draft", StepRole.WRITER, 6, 3);
  private static final RunUpStep EDIT = RunUpStep.before("e", "Edit", StepRole.EDITOR, 1, 1, "d");
  private static final RunUpStep LOOK = RunUpStep.followUp("l", "Look", StepRole.EDITOR, 1, 20);

  private static RunUpDrawing draw(@Nullable LocalDate publish, StepState... states) {
    Round round = TestRounds.eels(publish, 0);
    WorkCalendar site = WorkCalendar.MONDAY_TO_FRIDAY;
    SiteCalendars calendars =
        new SiteCalendars(site, Map.of(7L, site.without(Set.of(LocalDate.of(2026, 12, 4)))));
    RoundPlanner planner = new RoundPlanner(calendars, TODAY);
    return planner.draw(planner.planStates(round, List.of(states)));
  }

  private static double x(RunUpDrawing drawing, LocalDate day) {
    return drawing.days().get((int) (day.toEpochDay() - MONDAY.toEpochDay())).x();
  }

  @Test
  void workStandsWhereItCanBeDoneEarliestAndReachesToTheLastPossibleDay() {
    LocalDate publish = LocalDate.of(2026, 12, 11);
    RunUpDrawing drawing =
        draw(publish, StepState.open(DRAFT), StepState.open(EDIT), StepState.open(LOOK));
    double day = drawing.days().get(0).width();

    assertThat(drawing.days().get(0).number()).isEqualTo("30");
    assertThat(drawing.days().get(1).weekday()).isEqualTo("Dec");
    assertThat(drawing.today()).isEqualTo(x(drawing, TODAY) + day / 2);
    assertThat(drawing.publish()).isEqualTo(x(drawing, publish) + day / 2);
    RunUpDrawing.Row draft = drawing.rows().get(0);
    assertThat(draft.work().x()).isEqualTo(x(drawing, TODAY));
    assertThat(draft.work().width()).isCloseTo(3 * day, within(1e-9));
    assertThat(draft.deciding()).isTrue();
    RunUpDrawing.Row edit = drawing.rows().get(1);
    assertThat(edit.work().x()).isEqualTo(x(drawing, LocalDate.of(2026, 12, 7)));
    assertThat(edit.reach().x() + edit.reach().width())
        .isCloseTo(x(drawing, publish), within(1e-9));
    assertThat(edit.due()).isEqualTo(x(drawing, publish.minusDays(1)) + day / 2);
    assertThat(drawing.rows().get(2).beyond()).isEqualTo(LocalDate.of(2027, 1, 8));
    assertThat(drawing.off().get(0).x()).isEqualTo(x(drawing, LocalDate.of(2026, 12, 5)));
    assertThat(drawing.off().get(0).width()).isCloseTo(2 * day, within(1e-9));
  }

  @Test
  void daysOnWhichThePersonAloneIsAwayAreMarkedInTheirRow() {
    RunUpDrawing drawing = draw(null, StepState.open(DRAFT).with(7L, null), StepState.open(EDIT));
    double day = drawing.days().get(0).width();

    assertThat(drawing.rows().get(0).away())
        .containsExactly(new RunUpDrawing.Span(x(drawing, LocalDate.of(2026, 12, 4)), day));
    assertThat(drawing.rows().get(0).work().width()).isCloseTo(6 * day, within(1e-9));
    assertThat(drawing.rows().get(1).away()).isEmpty();
  }

  @Test
  void withoutAPublishDateAFollowUpHasNoPlaceAndNothingADueDate() {
    RunUpDrawing drawing = draw(null, StepState.open(DRAFT), StepState.open(LOOK));

    assertThat(drawing.publish()).isNull();
    assertThat(drawing.rows().get(0).work()).isNotNull();
    assertThat(drawing.rows().get(1).work()).isNull();
    assertThat(drawing.rows()).allSatisfy(row -> assertThat(row.due()).isNull());
  }

  @Test
  void aFarPublishDateLeavesOneLabelAWeekAndAnEndInSight() {
    RunUpDrawing drawing = draw(LocalDate.of(2027, 12, 1), StepState.open(DRAFT));

    assertThat(drawing.days()).hasSize(92);
    assertThat(drawing.days()).filteredOn(d -> !d.number().isEmpty()).hasSize(14);
    assertThat(drawing.rows().get(0).beyond()).isNotNull();
  }
}
