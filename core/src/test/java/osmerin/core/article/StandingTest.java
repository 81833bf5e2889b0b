package osmerin.core.article;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import osmerin.core.article.Standing.State;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.ShippedRunUps;
import osmerin.core.runup.StepProgress;
import osmerin.core.workday.WorkCalendar;

class StandingTest {
  /** A Monday. */
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 16);

  private final Map<String, StepProgress> progress = new HashMap<>();

  @Test
  void whatIsSetIsNeverLateButMayBeUnpublished() {
    allDone();
    assertThat(standing(Phase.SET, TODAY).state()).isEqualTo(State.SET);
    assertThat(standing(Phase.SET, TODAY.minusDays(1)).state()).isEqualTo(State.NOT_PUBLISHED);
    assertThat(standing(Phase.LIVE, TODAY.minusDays(30)).state()).isEqualTo(State.LIVE);
  }

  /** Four presses of the key for the next stage once turned one lost article into one planned. */
  @Test
  void whatIsSetWithStepsToDoIsJudgedAsInHand() {
    assertThat(standing(Phase.SET, TODAY).state()).isEqualTo(State.IMPOSSIBLE);
    assertThat(standing(Phase.SET, TODAY.plusWeeks(4)).state()).isEqualTo(State.ON_COURSE);
    assertThat(standing(Phase.SET, null).state()).isEqualTo(State.NO_DATE);
  }

  @Test
  void withEveryStepDoneAnArticleIsLateOnceItsDateIsPast() {
    allDone();
    Standing friday = standing(Phase.IN_HAND, TODAY.minusDays(3));
    assertThat(friday.state()).isEqualTo(State.LATE);
    assertThat(friday.days()).isEqualTo(1);
    assertThat(standing(Phase.IN_HAND, TODAY.minusDays(1)).days()).isEqualTo(1);
    Standing coming = standing(Phase.IN_HAND, TODAY.plusDays(3));
    assertThat(coming.state()).isEqualTo(State.ON_COURSE);
    assertThat(coming.days()).isEqualTo(3);
  }

  private void allDone() {
    ShippedRunUps.POST
        .steps()
        .forEach(s -> progress.put(s.key(), StepProgress.doneOn(TODAY, null)));
  }

  @Test
  void inWorkThePlanDecides() {
    assertThat(standing(Phase.IN_HAND, null).state()).isEqualTo(State.NO_DATE);
    assertThat(standing(Phase.IN_HAND, TODAY.plusWeeks(4)).state()).isEqualTo(State.ON_COURSE);
    Standing impossible = standing(Phase.IN_HAND, TODAY.plusDays(2));
    assertThat(impossible.state()).isEqualTo(State.IMPOSSIBLE);
    assertThat(impossible.earliest()).isAfter(TODAY.plusDays(2));
  }

  @Test
  void lateIsCountedInWorkingDaysFromTheOldestDueDate() {
    for (RunUpStep step : ShippedRunUps.POST.steps()) {
      if (!step.key().equals("proof")) {
        progress.put(step.key(), StepProgress.doneOn(TODAY, null));
      }
    }
    // Publish Tue 17: the proof ends on Mon 16 at the latest, two days earlier is its due date.
    Standing late = standing(Phase.IN_HAND, TODAY.plusDays(1));
    assertThat(late.state()).isEqualTo(State.LATE);
    assertThat(late.days()).isEqualTo(2);
    assertThat(late.state().isLate()).isTrue();
  }

  private Standing standing(Phase stage, @Nullable LocalDate date) {
    WorkCalendar calendar = WorkCalendar.MONDAY_TO_FRIDAY;
    BackPlan plan =
        BackPlan.of(BackPlan.Request.of(ShippedRunUps.POST, date, TODAY, calendar, progress));
    return Standing.of(stage, date, plan, TODAY, calendar);
  }
}
