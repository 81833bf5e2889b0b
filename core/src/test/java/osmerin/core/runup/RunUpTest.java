package osmerin.core.runup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import osmerin.core.workday.WorkCalendar;

class RunUpTest {
  @Test
  void hoursAreTheSumOfTheEstimates() {
    assertThat(ShippedRunUps.POST.hours()).isEqualTo(8);
    assertThat(ShippedRunUps.GUIDE.steps()).hasSize(8);
  }

  @Test
  void twoStepsOfOneKeyAreRefused() {
    assertThatThrownBy(
            () ->
                new RunUp(
                    "Twice",
                    0,
                    List.of(
                        RunUpStep.before("a", "A", StepRole.WRITER, 1, 1),
                        RunUpStep.before("a", "B", StepRole.WRITER, 1, 1))))
        .hasMessageContaining("key a");
  }

  @Test
  void aStepBeforePublishingCannotWaitForAFollowUp() {
    assertThatThrownBy(
            () ->
                new RunUp(
                    "Late",
                    0,
                    List.of(
                        RunUpStep.followUp("after", "After", StepRole.WRITER, 1, 2),
                        RunUpStep.before("a", "A", StepRole.WRITER, 1, 1, "after"))))
        .hasMessageContaining("follow-up");
  }

  @Test
  void offsetsLieOnTheirSideOfThePublishDay() {
    assertThatThrownBy(
            () ->
                new RunUpStep(
                    "a", "A", StepRole.WRITER, 1, 1, List.of(), 2, false, Completion.HAND))
        .hasMessageContaining("wrong side");
    assertThatThrownBy(() -> RunUpStep.followUp("a", "A", StepRole.WRITER, 1, 0))
        .hasMessageContaining("wrong side");
    assertThatThrownBy(() -> RunUpStep.before("a", "A", StepRole.WRITER, -1, 1))
        .hasMessageContaining("0 or more");
    assertThatThrownBy(() -> new RunUp("Hasty", -1, List.of())).hasMessageContaining("cushion");
  }

  @Test
  void aPublishDateOnADayOffIsWorkedBackFromAllTheSame() {
    LocalDate monday = LocalDate.of(2026, 11, 2);
    LocalDate saturday = LocalDate.of(2026, 11, 28);
    BackPlan plan =
        BackPlan.of(
            BackPlan.Request.of(
                ShippedRunUps.POST, saturday, monday, WorkCalendar.MONDAY_TO_FRIDAY, Map.of()));
    assertThat(plan.course()).isEqualTo(Course.ON_COURSE);
    PlannedStep proof = plan.steps().get(plan.steps().size() - 1);
    assertThat(proof.latestEnd()).isEqualTo(LocalDate.of(2026, 11, 27));
  }

  @Test
  void aFollowUpHasNoCushionAndDoesNotMakeAnArticleLate() {
    LocalDate today = LocalDate.of(2026, 11, 23);
    RunUp runUp =
        new RunUp("After", 2, List.of(RunUpStep.followUp("share", "Share", StepRole.EDITOR, 1, 1)));
    BackPlan live = plan(runUp, today.minusDays(10), today);
    assertThat(live.steps().get(0).due()).isEqualTo(LocalDate.of(2026, 11, 16));
    assertThat(live.steps().get(0).slack()).isNegative();
    assertThat(plan(runUp, today, today).course()).isEqualTo(Course.ON_COURSE);
  }

  private static BackPlan plan(RunUp runUp, LocalDate publishDate, LocalDate today) {
    return BackPlan.of(
        BackPlan.Request.of(runUp, publishDate, today, WorkCalendar.MONDAY_TO_FRIDAY, Map.of()));
  }

  @Test
  void anEmptyRunUpCanBePublishedToday() {
    LocalDate monday = LocalDate.of(2026, 11, 2);
    BackPlan plan =
        BackPlan.of(
            BackPlan.Request.of(
                new RunUp("None", 0, List.of()),
                null,
                monday,
                WorkCalendar.MONDAY_TO_FRIDAY,
                Map.of()));
    assertThat(plan.earliestPublishDate()).isEqualTo(monday);
  }
}
