package osmerin.core.runup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.workday.WorkCalendar;

class BackPlanTest {
  /** A Monday. */
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 2);

  private static final WorkCalendar WEEK = WorkCalendar.MONDAY_TO_FRIDAY;
  private static final RunUp RUN_UP =
      new RunUp(
          "Test",
          2,
          List.of(
              RunUpStep.before("brief", "Brief", StepRole.STRATEGIST, 1, 1),
              RunUpStep.before("draft", "Draft", StepRole.WRITER, 4, 3, "brief"),
              RunUpStep.before("edit", "Edit", StepRole.EDITOR, 1, 1, "draft"),
              RunUpStep.before("proof", "Proof", StepRole.EDITOR, 1, 0, "edit"),
              RunUpStep.followUp("share", "Share", StepRole.EDITOR, 1, 3)));

  @Test
  void worksBackFromThePublishDay() {
    // Publish Tue 24 Nov: proof and edit by Mon 23, draft Wed 18–Fri 20, brief Tue 17.
    BackPlan plan = plan(day(24), Map.of());
    assertThat(latestEnds(plan)).containsExactly(day(17), day(20), day(23), day(23), day(27));
    assertThat(dues(plan)).containsExactly(day(13), day(18), day(19), day(19), day(27));
    assertThat(plan.course()).isEqualTo(Course.ON_COURSE);
    assertThat(step(plan, "draft").latestStart()).isEqualTo(day(18));
    assertThat(step(plan, "brief").slack()).isEqualTo(11);
  }

  @Test
  void worksForwardFromToday() {
    BackPlan plan = plan(null, Map.of());
    assertThat(plan.steps())
        .extracting(PlannedStep::earliestEnd)
        .startsWith(day(2), day(5), day(6), day(6));
    assertThat(plan.course()).isNull();
    assertThat(plan.earliestPublishDate()).isEqualTo(day(9));
    assertThat(dues(plan)).containsOnlyNulls();
  }

  @Test
  void anImpossibleDateNamesTheStepsThatDecideAndTheEarliestOne() {
    BackPlan plan = plan(day(6), Map.of());
    assertThat(plan.course()).isEqualTo(Course.IMPOSSIBLE);
    assertThat(plan.deciding())
        .extracting(RunUpStep::key)
        .containsExactly("brief", "draft", "edit", "proof");
    assertThat(plan(plan.earliestPublishDate(), Map.of()).course()).isNotEqualTo(Course.IMPOSSIBLE);
  }

  @Test
  void theEarliestDateLeavesNoCushionAndIsAtRisk() {
    // Due dates lie before today already, which is late.
    assertThat(plan(day(9), Map.of()).course()).isEqualTo(Course.LATE);
    assertThat(plan(day(11), Map.of()).course()).isEqualTo(Course.ON_COURSE);
    assertThat(plan(day(10), Map.of("brief", StepProgress.doneOn(day(2), null))).course())
        .isEqualTo(Course.ON_COURSE);
  }

  @Test
  void atRiskIsBetweenTheDueDateAndTheLastPossibleDay() {
    RunUp one = new RunUp("One", 2, List.of(RunUpStep.before("a", "A", StepRole.WRITER, 1, 3)));
    BackPlan plan = BackPlan.of(BackPlan.Request.of(one, day(6), TODAY, WEEK, Map.of()));
    assertThat(plan.course()).isEqualTo(Course.AT_RISK);
  }

  @Test
  void holidaysAreSteppedOver() {
    WorkCalendar holiday = WEEK.without(Set.of(day(20), day(23)));
    BackPlan plan = BackPlan.of(BackPlan.Request.of(RUN_UP, day(24), TODAY, holiday, Map.of()));
    assertThat(latestEnds(plan)).startsWith(day(13), day(18), day(19), day(19));
  }

  @Test
  void aPersonsDaysOffCountForThatPersonsSteps() {
    WorkCalendar mondaysOnly = new WorkCalendar(Set.of(DayOfWeek.MONDAY), Set.of());
    BackPlan plan =
        BackPlan.of(
            new BackPlan.Request(
                RUN_UP,
                day(24),
                TODAY,
                WEEK,
                step -> step.role() == StepRole.WRITER ? mondaysOnly : WEEK,
                Map.of()));
    assertThat(step(plan, "draft").latestEnd()).isEqualTo(day(16));
    assertThat(step(plan, "draft").latestStart()).isEqualTo(day(2));
    assertThat(step(plan, "draft").due().getDayOfWeek()).isEqualTo(DayOfWeek.MONDAY);
  }

  @Test
  void offsetsCountFromThePublishDay() {
    RunUp offset =
        new RunUp(
            "Offset",
            0,
            List.of(
                new RunUpStep(
                    "print", "Print", StepRole.EDITOR, 1, 1, List.of(), -5, false, Completion.HAND),
                new RunUpStep(
                    "air",
                    "Air",
                    StepRole.EDITOR,
                    1,
                    1,
                    List.of("print"),
                    0,
                    false,
                    Completion.HAND)));
    BackPlan plan = BackPlan.of(BackPlan.Request.of(offset, day(24), TODAY, WEEK, Map.of()));
    assertThat(latestEnds(plan)).containsExactly(day(17), day(24));
  }

  @Test
  void aPinnedDueDateStaysAndIsReportedWhenItLiesOutside() {
    BackPlan held = plan(day(24), Map.of("draft", StepProgress.pinnedTo(day(16))));
    assertThat(step(held, "draft").due()).isEqualTo(day(16));
    assertThat(step(held, "draft").pinConflict()).isFalse();
    BackPlan moved = plan(day(17), Map.of("draft", StepProgress.pinnedTo(day(16))));
    assertThat(step(moved, "draft").due()).isEqualTo(day(16));
    assertThat(step(moved, "draft").pinConflict()).isTrue();
    assertThat(step(moved, "draft").latestEnd())
        .isEqualTo(step(plan(day(17), Map.of()), "draft").latestEnd());
    BackPlan saturday = plan(day(24), Map.of("draft", StepProgress.pinnedTo(day(14))));
    assertThat(step(saturday, "draft").due()).isEqualTo(day(13));
  }

  @Test
  void onlyStepsBeforePublishingDecide() {
    Map<String, StepProgress> allDone = new HashMap<>();
    for (String key : List.of("brief", "draft", "edit", "proof")) {
      allDone.put(key, StepProgress.doneOn(day(2), day(2)));
    }
    BackPlan plan = plan(TODAY, allDone);
    assertThat(plan.course()).isEqualTo(Course.ON_COURSE);
    assertThat(plan.earliestPublishDate()).isEqualTo(TODAY);
  }

  @Test
  void aRunUpWithACircleOrADanglingStepIsRefused() {
    assertThatThrownBy(
            () ->
                new RunUp(
                    "Circle",
                    0,
                    List.of(
                        RunUpStep.before("a", "A", StepRole.WRITER, 1, 1, "b"),
                        RunUpStep.before("b", "B", StepRole.WRITER, 1, 1, "a"))))
        .hasMessageContaining("waits for b");
    assertThatThrownBy(() -> plan(day(24), Map.of("nap", StepProgress.OPEN)))
        .hasMessageContaining("nap");
  }

  /** Whoever works on weekends, is done, pinned, waits for nothing or follows up. */
  @ParameterizedTest
  @ValueSource(longs = {51, 52, 53, 54, 55, 56, 57, 58})
  void everyDateIsThatOfThePlainRules(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 60; i++) {
      RunUp runUp = runUp(random);
      WorkCalendar site = calendar(random, true);
      List<WorkCalendar> people = List.of(site, calendar(random, true), calendar(random, true));
      Map<String, WorkCalendar> whose = new HashMap<>();
      runUp.steps().forEach(s -> whose.put(s.key(), people.get(random.nextInt(3))));
      Map<String, StepProgress> progress = progress(runUp, random);
      LocalDate date = TODAY.plusDays(random.nextInt(70) - 10);
      BackPlan.Request request =
          new BackPlan.Request(runUp, date, TODAY, site, s -> whose.get(s.key()), progress);
      PlainPlan plain = new PlainPlan(request);
      BackPlan plan = BackPlan.of(request);
      for (PlannedStep step : plan.steps()) {
        RunUpStep its = step.step();
        if (!step.done()) {
          assertThat(step.earliestStart()).isEqualTo(plain.earliestStart(its));
          assertThat(step.earliestEnd()).isEqualTo(plain.earliestEnd(its));
          assertThat(step.latestStart()).isEqualTo(plain.latestStart(its));
          assertThat(step.latestEnd()).isEqualTo(plain.latestEnd(its));
          assertThat(step.due()).isEqualTo(plain.due(its));
          assertThat(step.slack()).isEqualTo(plain.slack(its));
        }
      }
      assertThat(plan.course()).isEqualTo(plain.course());
      assertThat(plan.deciding()).extracting(RunUpStep::key).isEqualTo(plain.deciding());
      LocalDate first = TODAY;
      while (!site.isWorking(first) || !new PlainPlan(publishedOn(request, first)).isPossible()) {
        first = first.plusDays(1);
      }
      assertThat(plan.earliestPublishDate()).isEqualTo(first);
    }
  }

  @Test
  void overAWeekendOnlyItIsStillOneDayTooLate() {
    WorkCalendar weekend = new WorkCalendar(Set.of(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY), Set.of());
    RunUp one = new RunUp("One", 0, List.of(RunUpStep.before("a", "A", StepRole.WRITER, 1, 1)));
    // Done on Sat 7 at the earliest, to be done by Sun 1: no site working day but Mon 2 to Fri 6.
    BackPlan plan =
        BackPlan.of(new BackPlan.Request(one, day(9), day(8), WEEK, s -> weekend, Map.of()));
    assertThat(step(plan, "a").earliestEnd()).isEqualTo(day(8));
    assertThat(step(plan, "a").latestEnd()).isEqualTo(day(1));
    BackPlan sunday =
        BackPlan.of(
            new BackPlan.Request(
                one, day(9), day(8), weekend, s -> WorkCalendar.MONDAY_TO_FRIDAY, Map.of()));
    assertThat(step(sunday, "a").earliestEnd()).isEqualTo(day(9));
    assertThat(step(sunday, "a").latestEnd()).isEqualTo(day(6));
    assertThat(step(sunday, "a").slack()).isEqualTo(-2);
    BackPlan friday =
        BackPlan.of(
            new BackPlan.Request(
                one, day(7), day(7), WEEK, s -> WEEK.without(Set.of(day(9))), Map.of()));
    assertThat(step(friday, "a").slack()).isNegative();
  }

  @Test
  void withoutACushionTheDueDateIsTheLatestEndOfWhoeverWorksOnSaturdays() {
    WorkCalendar saturdays = new WorkCalendar(Set.of(DayOfWeek.SATURDAY), Set.of());
    RunUp one =
        new RunUp(
            "One",
            0,
            List.of(
                RunUpStep.before("a", "A", StepRole.WRITER, 1, 1),
                RunUpStep.before("b", "B", StepRole.EDITOR, 1, 1, "a")));
    BackPlan plan =
        BackPlan.of(
            new BackPlan.Request(
                one,
                day(17),
                TODAY,
                WEEK,
                s -> s.role() == StepRole.WRITER ? saturdays : WEEK,
                Map.of()));
    assertThat(step(plan, "a").latestEnd()).isEqualTo(day(14));
    assertThat(step(plan, "a").due()).isEqualTo(day(14));
  }

  @Test
  void ofAStepThatWasBegunOnlyTheDaysThatAreLeftCount() {
    PlannedStep whole = step(plan(day(24), Map.of()), "draft");
    PlannedStep begun = step(plan(day(24), Map.of("draft", StepProgress.open(null, 1))), "draft");
    assertThat(begun.earliestEnd()).isBefore(whole.earliestEnd());
    assertThat(begun.latestStart()).isEqualTo(begun.latestEnd());
    assertThatThrownBy(() -> plan(day(24), Map.of("draft", StepProgress.open(null, 99))))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("draft");
  }

  @Test
  void whatIsDoneAndPastItsDayIsLate() {
    Map<String, StepProgress> allDone = new HashMap<>();
    for (String key : List.of("brief", "draft", "edit", "proof")) {
      allDone.put(key, StepProgress.doneOn(day(2), day(2)));
    }
    BackPlan plan = plan(TODAY.minusDays(1), allDone);
    assertThat(plan.course()).isEqualTo(Course.LATE);
    assertThat(plan.deciding()).isEmpty();
  }

  @Test
  void theStepsThatDecideAreNamedInEveryState() {
    assertThat(plan(day(24), Map.of()).deciding()).extracting(RunUpStep::key).contains("brief");
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void neverADueDateOnADayOffAndDoneStepsNeverMove(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 40; i++) {
      RunUp runUp = runUp(random);
      WorkCalendar calendar = calendar(random, true);
      Map<String, StepProgress> progress = progress(runUp, random);
      LocalDate date = TODAY.plusDays(random.nextInt(90));
      BackPlan plan = BackPlan.of(BackPlan.Request.of(runUp, date, TODAY, calendar, progress));
      for (PlannedStep step : plan.steps()) {
        StepProgress before = progress.get(step.step().key());
        if (before != null && before.isDone()) {
          assertThat(step.due()).isEqualTo(before.due());
        } else {
          assertThat(calendar.isWorking(step.due())).as("%s due %s", step, date).isTrue();
          assertThat(calendar.isWorking(step.latestEnd())).isTrue();
          assertThat(calendar.isWorking(step.earliestEnd())).isTrue();
          assertThat(before != null || !step.due().isAfter(step.latestEnd())).isTrue();
        }
      }
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {21, 22, 23, 24, 25, 26})
  void wholeWeeksMoveEverythingByWholeWeeks(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 40; i++) {
      RunUp runUp = runUp(random);
      WorkCalendar calendar = calendar(random, false);
      LocalDate date = TODAY.plusDays(random.nextInt(90));
      int weeks = random.nextInt(20) - 5;
      List<LocalDate> dues = bound(BackPlan.of(request(runUp, date, calendar)));
      List<LocalDate> moved = bound(BackPlan.of(request(runUp, date.plusWeeks(weeks), calendar)));
      assertThat(moved).isEqualTo(dues.stream().map(d -> d.plusWeeks(weeks)).toList());
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {31, 32, 33, 34, 35, 36})
  void theEarliestPublishDateIsPossibleAndTheWorkingDayBeforeItIsNot(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 40; i++) {
      RunUp runUp = runUp(random);
      WorkCalendar calendar = calendar(random, true);
      BackPlan plan = BackPlan.of(request(runUp, null, calendar));
      LocalDate earliest = plan.earliestPublishDate();
      assertThat(BackPlan.of(request(runUp, earliest, calendar)).course())
          .isNotEqualTo(Course.IMPOSSIBLE);
      LocalDate before = calendar.minus(earliest, 1);
      if (!before.isBefore(calendar.onOrAfter(TODAY))) {
        assertThat(BackPlan.of(request(runUp, before, calendar)).course())
            .isEqualTo(Course.IMPOSSIBLE);
      }
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {41, 42, 43})
  void noStepStartsBeforeWhatItWaitsForEnds(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 40; i++) {
      RunUp runUp = runUp(random);
      BackPlan plan =
          BackPlan.of(request(runUp, TODAY.plusDays(random.nextInt(90)), calendar(random, true)));
      for (PlannedStep step : plan.steps()) {
        for (String key : step.step().after()) {
          PlannedStep before = step(plan, key);
          boolean sameDay = step.step().length() == 0;
          assertThat(before.earliestEnd())
              .isBeforeOrEqualTo(sameDay ? step.earliestEnd() : step.earliestStart().minusDays(1));
          if (!step.step().followUp()) {
            assertThat(before.latestEnd())
                .isBeforeOrEqualTo(sameDay ? step.latestEnd() : step.latestStart().minusDays(1));
          }
        }
      }
    }
  }

  @Test
  void shippedRunUpsHaveFiveToEightStepsOrAreRefreshes() {
    assertThat(List.of(ShippedRunUps.GUIDE, ShippedRunUps.POST, ShippedRunUps.REVIEW))
        .allSatisfy(runUp -> assertThat(runUp.steps()).hasSizeBetween(5, 8));
    assertThat(ShippedRunUps.TOUCH_UP.hours()).isLessThan(ShippedRunUps.REWORK.hours());
    assertThat(ShippedRunUps.REWORK.hours()).isLessThan(ShippedRunUps.REWRITE.hours());
  }

  private static RunUp runUp(Random random) {
    List<RunUpStep> steps = new ArrayList<>();
    int count = 2 + random.nextInt(7);
    for (int i = 0; i < count; i++) {
      List<String> after = new ArrayList<>();
      for (int j = 0; j < i; j++) {
        if (random.nextInt(3) == 0) {
          after.add("s" + j);
        }
      }
      Integer offset = random.nextInt(6) == 0 ? -random.nextInt(6) : null;
      steps.add(
          new RunUpStep(
              "s" + i,
              "S" + i,
              StepRole.WRITER,
              1,
              random.nextInt(5),
              after,
              offset,
              false,
              Completion.HAND));
    }
    steps.add(RunUpStep.followUp("after", "After", StepRole.EDITOR, 1, 1 + random.nextInt(10)));
    steps.add(
        new RunUpStep(
            "last", "Last", StepRole.EDITOR, 1, 2, List.of("after"), null, true, Completion.HAND));
    return new RunUp("Random", random.nextInt(4), steps);
  }

  private static WorkCalendar calendar(Random random, boolean holidays) {
    Set<DayOfWeek> week = EnumSet.of(DayOfWeek.of(1 + random.nextInt(7)));
    for (DayOfWeek day : DayOfWeek.values()) {
      if (random.nextBoolean()) {
        week.add(day);
      }
    }
    Set<LocalDate> off = new HashSet<>();
    for (int i = 0; holidays && i < 25; i++) {
      off.add(TODAY.plusDays(random.nextInt(150) - 30));
    }
    return new WorkCalendar(week, off);
  }

  private static Map<String, StepProgress> progress(RunUp runUp, Random random) {
    Map<String, StepProgress> progress = new HashMap<>();
    for (RunUpStep step : runUp.steps()) {
      LocalDate day = TODAY.plusDays(random.nextInt(40) - 20);
      switch (random.nextInt(5)) {
        case 0 -> progress.put(step.key(), StepProgress.doneOn(TODAY, day));
        case 1 -> progress.put(step.key(), StepProgress.pinnedTo(day));
        case 2 ->
            progress.put(step.key(), StepProgress.open(null, random.nextInt(step.length() + 1)));
        default -> {}
      }
    }
    return progress;
  }

  private static BackPlan.Request request(
      RunUp runUp, @Nullable LocalDate date, WorkCalendar calendar) {
    return BackPlan.Request.of(runUp, date, TODAY, calendar, Map.of());
  }

  private static BackPlan plan(@Nullable LocalDate date, Map<String, StepProgress> progress) {
    return BackPlan.of(BackPlan.Request.of(RUN_UP, date, TODAY, WEEK, progress));
  }

  private static PlannedStep step(BackPlan plan, String key) {
    return plan.steps().stream().filter(s -> s.step().key().equals(key)).findFirst().orElseThrow();
  }

  private static List<LocalDate> dues(BackPlan plan) {
    List<LocalDate> dues = new ArrayList<>();
    plan.steps().forEach(step -> dues.add(step.due()));
    return dues;
  }

  /**
   * The due dates that depend on the publish date; the last follow-up is due when it can be done.
   */
  private static List<LocalDate> bound(BackPlan plan) {
    return dues(plan).subList(0, plan.steps().size() - 1);
  }

  private static List<LocalDate> latestEnds(BackPlan plan) {
    List<LocalDate> ends = new ArrayList<>();
    plan.steps().forEach(step -> ends.add(step.latestEnd()));
    return ends;
  }

  private static LocalDate day(int ofNovember) {
    return LocalDate.of(2026, 11, ofNovember);
  }

  private static BackPlan.Request publishedOn(BackPlan.Request request, LocalDate date) {
    return new BackPlan.Request(
        request.runUp(),
        date,
        request.today(),
        request.calendar(),
        request.calendarOf(),
        request.progress());
  }
}
