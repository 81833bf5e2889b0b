package osmerin.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.app.plan.CalendarMonth.Day;
import osmerin.app.plan.Meter.Box;
import osmerin.core.pace.Pace;
import osmerin.core.pace.Pace.State;
import osmerin.core.workday.WorkCalendar;

/** The meter, the calendar's ruling, and a pace in words. */
class PicturesTest {
  @Test
  void theMeterHasABoxForEveryArticleAndAFrameForTheTarget() {
    Meter meter = Meter.of(new Pace(7, 4, 2, 1, 0, 0, 0, 5.5, State.LEVEL));
    assertThat(meter.boxes())
        .extracting(Box::tone)
        .containsExactly("done", "done", "done", "done", "planned", "planned", "risk");
    Box last = meter.boxes().get(6);
    assertThat(last.x() + last.width()).isLessThanOrEqualTo(meter.width());
    assertThat(meter.expectedX()).isBetween(meter.boxes().get(5).x(), last.x());
  }

  @Test
  void beyondTheTargetTheBoxesGoOnAndTheFrameDoesNot() {
    Meter meter = Meter.of(new Pace(2, 4, 0, 0, 0, 0, 0, 2, State.MET));
    assertThat(meter.boxes()).hasSize(4);
    assertThat(meter.targetWidth()).isLessThan(meter.width() / 1.9);
  }

  @Test
  void withoutTargetAndArticlesThereIsNothingToDraw() {
    Meter meter = Meter.of(new Pace(0, 0, 0, 0, 0, 0, 0, 0, State.NO_TARGET));
    assertThat(meter.boxes()).isEmpty();
    assertThat(meter.expectedX()).isNegative();
  }

  @ParameterizedTest
  @CsvSource({"0, start", "3, middle", "6, end"})
  void theWordsAtTheMarkStayInside(double expected, String anchor) {
    Meter meter = Meter.of(new Pace(6, 0, 0, 0, 6, 0, 0, expected, State.SHORT));
    assertThat(meter.wordsAnchor()).isEqualTo(anchor);
    assertThat(meter.wordsX()).isBetween(0.0, meter.width());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0 | 2 | 0 | NO_TARGET | no target | 2 live.",
        "7 | 4 | 1 | SHORT | short by 1 | 4 of 7 live. 1 more is needed to reach the target.",
        "7 | 2 | 3 | SHORT | short by 3 | 2 of 7 live. 3 more are needed to reach the target.",
        "2 | 2 | 0 | MET | met | 2 of 2 live.",
        "4 | 1 | 0 | BEHIND | behind | 1 of 4 live. By today 2.5 were expected.",
      })
  void aPaceInWords(int target, int done, int missing, State state, String words, String sentence) {
    PaceWords said = PaceWords.of(new Pace(target, done, 0, 0, missing, 0, 0, 2.5, state));
    assertThat(said.state()).isEqualTo(words);
    assertThat(said.sentence()).isEqualTo(sentence);
  }

  @Test
  void everyKindOfArticleIsNamed() {
    assertThat(PaceWords.of(new Pace(9, 1, 2, 3, 0, 3, 0, 2, State.LEVEL)).sentence())
        .isEqualTo("1 of 9 live, 2 planned, 3 at risk, 3 no longer possible this month.");
  }

  @Test
  void aMonthIsRuledIntoWholeWeeksFromMonday() {
    LocalDate today = LocalDate.of(2026, 11, 25);
    CalendarMonth november =
        CalendarMonth.of(YearMonth.of(2026, 11), List.of(), today, WorkCalendar.MONDAY_TO_FRIDAY);
    assertThat(november.weeks()).hasSize(6);
    assertThat(november.weeks().get(0).number()).isEqualTo(44);
    Day first = november.weeks().get(0).days().get(0);
    assertThat(first.date()).isEqualTo(LocalDate.of(2026, 10, 26));
    assertThat(first.inMonth()).isFalse();
    assertThat(november.weeks()).allSatisfy(week -> assertThat(week.days()).hasSize(7));
    Day now = november.weeks().get(4).days().get(2);
    assertThat(now.today()).isTrue();
    assertThat(november.weeks().get(4).days().get(6).working()).isFalse();
    assertThat(CalendarMonth.lastDay(YearMonth.of(2026, 11))).isEqualTo(LocalDate.of(2026, 12, 6));
  }

  @Test
  void weeksAreIsoWeeksAcrossTheYear() {
    CalendarMonth january =
        CalendarMonth.of(
            YearMonth.of(2027, 1),
            List.of(),
            LocalDate.of(2027, 1, 1),
            WorkCalendar.MONDAY_TO_FRIDAY);
    assertThat(january.weeks()).extracting(CalendarMonth.Week::number).startsWith(53, 1, 2);
  }
}
