package osmerin.core.pace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.pace.Pace.State;
import osmerin.core.runup.Course;
import osmerin.core.workday.WorkCalendar;

class PaceTest {
  private static final YearMonth NOVEMBER = YearMonth.of(2026, 11);
  private static final LocalDate TODAY = NOVEMBER.atDay(16);

  @Test
  void countsWhatIsDonePlannedAtRiskAndMissing() {
    Pace pace =
        pace(
            7,
            live(3, 3),
            live(9, 10),
            dated(12, Course.LATE, 20),
            dated(18, Course.ON_COURSE, 17),
            set(20),
            dated(25, Course.AT_RISK, 24),
            dated(27, Course.IMPOSSIBLE, 33));
    assertThat(pace.done()).isEqualTo(2);
    assertThat(pace.planned()).isEqualTo(2);
    assertThat(pace.atRisk()).isEqualTo(2);
    assertThat(pace.lost()).isEqualTo(1);
    assertThat(pace.missing()).isEqualTo(1);
    // Three of the month are dated before today; all seven have a date.
    assertThat(pace.expected()).isCloseTo(3, within(1e-9));
    assertThat(pace.state()).isEqualTo(State.SHORT);
  }

  @Test
  void whatHasNoDateIsExpectedByItsShareOfTheMonth() {
    // 10 of 21 working days are past, four of six have no date.
    Pace pace = pace(6, live(3, 3), dated(18, Course.ON_COURSE, 17));
    assertThat(pace.expected()).isCloseTo(1 + 4 * 10.0 / 21, within(1e-9));
  }

  @Test
  void statesAreTakenInTheirOrder() {
    assertThat(pace(0, live(3, 3)).state()).isEqualTo(State.NO_TARGET);
    assertThat(pace(1, live(3, 3)).state()).isEqualTo(State.MET);
    assertThat(pace(3, live(3, 3), dated(18, Course.ON_COURSE, 17)).state()).isEqualTo(State.SHORT);
    assertThat(pace(2, live(3, 3), dated(12, Course.LATE, 20)).state()).isEqualTo(State.BEHIND);
    assertThat(pace(2, live(16, 16), dated(18, Course.ON_COURSE, 17)).state())
        .isEqualTo(State.AHEAD);
    assertThat(pace(2, live(3, 3), dated(18, Course.ON_COURSE, 17)).state()).isEqualTo(State.LEVEL);
  }

  @Test
  void anArticleCountsInTheMonthItGoesLive() {
    PacedArticle datedInOctober =
        new PacedArticle(LocalDate.of(2026, 10, 30), NOVEMBER.atDay(2), null, false, null);
    assertThat(pace(1, datedInOctober).done()).isEqualTo(1);
    PacedArticle wentLiveInDecember =
        new PacedArticle(NOVEMBER.atDay(30), LocalDate.of(2026, 12, 1), null, false, null);
    assertThat(pace(1, wentLiveInDecember).done()).isZero();
  }

  @Test
  void setAndPastItsHourIsAtRiskNotLost() {
    assertThat(pace(1, set(12)).atRisk()).isEqualTo(1);
  }

  @Test
  void inAPastMonthNothingIsPlanned() {
    LocalDate january = LocalDate.of(2027, 1, 5);
    PacedArticle left = new PacedArticle(NOVEMBER.atDay(20), null, Course.LATE, false, january);
    Pace pace =
        Pace.of(NOVEMBER, 3, List.of(live(3, 3), left), january, WorkCalendar.MONDAY_TO_FRIDAY);
    assertThat(pace.lost()).isEqualTo(1);
    assertThat(pace.missing()).isEqualTo(2);
    assertThat(pace.expected()).isCloseTo(3, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void everyArticleOfTheMonthIsCountedOnce(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 50; i++) {
      List<PacedArticle> articles = new ArrayList<>();
      int count = random.nextInt(12);
      for (int j = 0; j < count; j++) {
        int day = 1 + random.nextInt(30);
        articles.add(
            switch (random.nextInt(3)) {
              case 0 -> live(day, day);
              case 1 -> set(day);
              default -> dated(day, Course.values()[random.nextInt(4)], 16 + random.nextInt(30));
            });
      }
      int target = random.nextInt(14);
      Pace pace = pace(target, articles.toArray(PacedArticle[]::new));
      assertThat(pace.done() + pace.planned() + pace.atRisk() + pace.lost()).isEqualTo(count);
      assertThat(pace.missing()).isGreaterThanOrEqualTo(0);
      assertThat(pace.expected()).isBetween(0.0, Math.max(count, target) + 0.0);
    }
  }

  private static Pace pace(int target, PacedArticle... articles) {
    return Pace.of(NOVEMBER, target, List.of(articles), TODAY, WorkCalendar.MONDAY_TO_FRIDAY);
  }

  private static PacedArticle live(int dated, int live) {
    return new PacedArticle(NOVEMBER.atDay(dated), NOVEMBER.atDay(live), null, false, null);
  }

  private static PacedArticle set(int day) {
    return new PacedArticle(NOVEMBER.atDay(day), null, null, true, TODAY);
  }

  /** {@code earliest} may run past the end of the month. */
  private static PacedArticle dated(int day, Course course, int earliest) {
    return new PacedArticle(
        NOVEMBER.atDay(day), null, course, false, NOVEMBER.atDay(1).plusDays(earliest - 1));
  }
}
