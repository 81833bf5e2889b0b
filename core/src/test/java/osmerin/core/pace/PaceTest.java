package osmerin.core.pace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.article.Phase;
import osmerin.core.article.Standing;
import osmerin.core.pace.Pace.State;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.Course;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.ShippedRunUps;
import osmerin.core.runup.StepProgress;
import osmerin.core.workday.WorkCalendar;

class PaceTest {
  private static final YearMonth NOVEMBER = YearMonth.of(2026, 11);
  private static final LocalDate TODAY = NOVEMBER.atDay(16);
  private static final Standing LIVE = standing(Standing.State.LIVE);

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
    assertThat(pace.state()).isEqualTo(State.SHORT);
  }

  /** 10 of 21 working days are past. */
  @Test
  void withoutAKeptPlanAllOfTheTargetIsExpectedByItsShareOfTheMonth() {
    assertThat(pace(6, live(3, 3), dated(18, Course.ON_COURSE, 17)).expected())
        .isCloseTo(6 * 10.0 / 21, within(1e-9));
  }

  @Test
  void keptDatesBeforeTodayAreExpectedAndWhatHadNoDateByItsShare() {
    List<LocalDate> kept = List.of(NOVEMBER.atDay(5), NOVEMBER.atDay(13), NOVEMBER.atDay(16));
    assertThat(pace(kept, 6).expected()).isCloseTo(2 + 3 * 10.0 / 21, within(1e-9));
    assertThat(pace(kept, 2).expected()).isCloseTo(2, within(1e-9));
    assertThat(pace(List.of(), 6).expected()).isCloseTo(6 * 10.0 / 21, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13})
  void onlyTheTargetChangesWhatIsExpected(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 100; i++) {
      List<LocalDate> kept =
          random.nextBoolean()
              ? null
              : random.ints(random.nextInt(9), 1, 31).mapToObj(NOVEMBER::atDay).toList();
      int target = random.nextInt(12);
      double expected = pace(kept, target).expected();
      assertThat(pace(kept, target, some(random)).expected()).isEqualTo(expected);
      assertThat(pace(kept, target + 1, some(random)).expected()).isGreaterThanOrEqualTo(expected);
    }
  }

  /** An article on course in one is planned in the other, and one at risk is not. */
  @ParameterizedTest
  @ValueSource(longs = {21, 22, 23, 24})
  void paceAgreesWithHowEachArticleStands(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 150; i++) {
      Phase stage = Phase.values()[random.nextInt(Phase.LIVE.ordinal())];
      LocalDate date = NOVEMBER.atDay(1 + random.nextInt(30));
      Map<String, StepProgress> progress = new HashMap<>();
      for (RunUpStep step : ShippedRunUps.POST.steps()) {
        if (random.nextInt(3) > 0) {
          progress.put(step.key(), StepProgress.doneOn(TODAY, null));
        }
      }
      BackPlan plan =
          BackPlan.of(
              BackPlan.Request.of(
                  ShippedRunUps.POST, date, TODAY, WorkCalendar.MONDAY_TO_FRIDAY, progress));
      Standing standing = Standing.of(stage, date, plan, TODAY, WorkCalendar.MONDAY_TO_FRIDAY);
      PacedArticle article = new PacedArticle(date, null, standing, plan.earliestPublishDate());
      Pace pace = pace(3, article);
      assertThat(pace.planned()).isEqualTo(standing.state().isOnCourse() ? 1 : 0);
      if (standing.state().isLate() && plan.earliestPublishDate().getMonthValue() > 11) {
        assertThat(pace.lost()).isEqualTo(1);
      }
      assertThat(standing.state() == Standing.State.ON_COURSE && date.isBefore(TODAY)).isFalse();
    }
  }

  @Test
  void statesAreTakenInTheirOrder() {
    assertThat(pace(0, live(3, 3)).state()).isEqualTo(State.NO_TARGET);
    assertThat(pace(1, live(3, 3)).state()).isEqualTo(State.MET);
    assertThat(pace(3, live(3, 3), dated(18, Course.ON_COURSE, 17)).state()).isEqualTo(State.SHORT);
    assertThat(pace(4, live(3, 3), set(17), set(18), set(19)).state()).isEqualTo(State.BEHIND);
    assertThat(pace(3, live(2, 2), live(3, 3), set(20)).state()).isEqualTo(State.LEVEL);
    assertThat(pace(2, live(3, 3), dated(18, Course.ON_COURSE, 17)).state()).isEqualTo(State.LEVEL);
    assertThat(
            pace(List.of(NOVEMBER.atDay(20), NOVEMBER.atDay(24)), 2, live(3, 3), set(20)).state())
        .isEqualTo(State.AHEAD);
  }

  @Test
  void anArticleCountsInTheMonthItGoesLive() {
    PacedArticle datedInOctober =
        new PacedArticle(LocalDate.of(2026, 10, 30), NOVEMBER.atDay(2), LIVE, null);
    assertThat(pace(1, datedInOctober).done()).isEqualTo(1);
    PacedArticle wentLiveInDecember =
        new PacedArticle(NOVEMBER.atDay(30), LocalDate.of(2026, 12, 1), LIVE, null);
    assertThat(pace(1, wentLiveInDecember).done()).isZero();
  }

  @Test
  void setAndPastItsHourIsAtRiskNotLost() {
    assertThat(pace(1, set(12)).atRisk()).isEqualTo(1);
  }

  @Test
  void inAPastMonthNothingIsPlanned() {
    LocalDate january = LocalDate.of(2027, 1, 5);
    PacedArticle left =
        new PacedArticle(NOVEMBER.atDay(20), null, standing(Standing.State.LATE), january);
    Pace pace =
        Pace.of(
            new MonthSoFar(NOVEMBER, january, WorkCalendar.MONDAY_TO_FRIDAY),
            3,
            List.of(live(3, 3), left),
            null);
    assertThat(pace.lost()).isEqualTo(1);
    assertThat(pace.missing()).isEqualTo(2);
    assertThat(pace.expected()).isCloseTo(3, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void everyArticleOfTheMonthIsCountedOnce(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 50; i++) {
      PacedArticle[] articles = some(random);
      int count = articles.length;
      int target = random.nextInt(14);
      Pace pace = pace(target, articles);
      assertThat(pace.done() + pace.planned() + pace.atRisk() + pace.lost()).isEqualTo(count);
      assertThat(pace.missing()).isGreaterThanOrEqualTo(0);
      assertThat(pace.expected()).isBetween(0.0, Math.max(count, target) + 0.0);
    }
  }

  private static PacedArticle[] some(Random random) {
    PacedArticle[] articles = new PacedArticle[random.nextInt(12)];
    for (int i = 0; i < articles.length; i++) {
      int day = 1 + random.nextInt(30);
      articles[i] =
          switch (random.nextInt(3)) {
            case 0 -> live(day, day);
            case 1 -> set(day);
            default -> dated(day, Course.values()[random.nextInt(4)], 16 + random.nextInt(30));
          };
    }
    return articles;
  }

  private static Pace pace(int target, PacedArticle... articles) {
    return pace(null, target, articles);
  }

  private static Pace pace(@Nullable List<LocalDate> kept, int target, PacedArticle... articles) {
    MonthSoFar month = new MonthSoFar(NOVEMBER, TODAY, WorkCalendar.MONDAY_TO_FRIDAY);
    return Pace.of(month, target, List.of(articles), kept);
  }

  private static PacedArticle live(int dated, int live) {
    return new PacedArticle(NOVEMBER.atDay(dated), NOVEMBER.atDay(live), LIVE, null);
  }

  private static PacedArticle set(int day) {
    LocalDate date = NOVEMBER.atDay(day);
    Standing.State state = date.isBefore(TODAY) ? Standing.State.NOT_PUBLISHED : Standing.State.SET;
    return new PacedArticle(date, null, standing(state), TODAY);
  }

  /** {@code earliest} may run past the end of the month. */
  private static PacedArticle dated(int day, Course course, int earliest) {
    return new PacedArticle(
        NOVEMBER.atDay(day),
        null,
        standing(Standing.State.valueOf(course.name())),
        NOVEMBER.atDay(1).plusDays(earliest - 1));
  }

  private static Standing standing(Standing.State state) {
    return new Standing(state, 0, null);
  }
}
