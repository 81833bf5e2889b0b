package osmerin.core.workday;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.HashSet;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WorkCalendarTest {
  private static final LocalDate FRIDAY = LocalDate.of(2026, 12, 4);
  private static final LocalDate SATURDAY = FRIDAY.plusDays(1);
  private static final LocalDate MONDAY = FRIDAY.plusDays(3);
  private final WorkCalendar week = WorkCalendar.MONDAY_TO_FRIDAY;

  @Test
  void stepsOverWeekends() {
    assertThat(week.plus(FRIDAY, 1)).isEqualTo(MONDAY);
    assertThat(week.minus(MONDAY, 1)).isEqualTo(FRIDAY);
    assertThat(week.minus(SATURDAY, 1)).isEqualTo(FRIDAY);
    assertThat(week.minus(SATURDAY, 0)).isEqualTo(FRIDAY);
    assertThat(week.plus(SATURDAY, 1)).isEqualTo(MONDAY);
    assertThat(week.plus(MONDAY, -1)).isEqualTo(FRIDAY);
  }

  @Test
  void stepsOverHolidays() {
    WorkCalendar holiday = week.without(Set.of(MONDAY));
    assertThat(holiday.plus(FRIDAY, 1)).isEqualTo(MONDAY.plusDays(1));
    assertThat(holiday.onOrBefore(MONDAY)).isEqualTo(FRIDAY);
  }

  @Test
  void countsTheWorkingDaysOfAMonth() {
    YearMonth december = YearMonth.of(2026, 12);
    assertThat(week.in(december)).isEqualTo(23);
    assertThat(week.inBefore(december, FRIDAY)).isEqualTo(3);
    assertThat(week.inBefore(december, LocalDate.of(2027, 1, 9))).isEqualTo(23);
    assertThat(week.inBefore(december, LocalDate.of(2026, 11, 9))).isZero();
  }

  @Test
  void aWeekWithoutWorkIsRefused() {
    assertThatThrownBy(() -> new WorkCalendar(Set.of(), Set.of()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void goingThereAndBackEndsWhereItBegan(long seed) {
    Random random = new Random(seed);
    WorkCalendar calendar =
        new WorkCalendar(
            Set.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY), Set.of());
    for (int i = 0; i < 50; i++) {
      LocalDate day = calendar.onOrAfter(FRIDAY.plusDays(random.nextInt(500)));
      int days = random.nextInt(40);
      assertThat(calendar.minus(calendar.plus(day, days), days)).isEqualTo(day);
      assertThat(calendar.between(day, calendar.plus(day, days))).isEqualTo(days);
      assertThat(calendar.between(calendar.plus(day, days), day)).isEqualTo(-days);
    }
  }

  @Test
  void countsBetweenTwoDaysWhatCountingEachDayGives() {
    Random random = new Random(7);
    for (int i = 0; i < 3_000; i++) {
      Set<DayOfWeek> days = new HashSet<>(Set.of(DayOfWeek.of(1 + random.nextInt(7))));
      Set<LocalDate> off = new HashSet<>();
      for (int n = random.nextInt(8); n > 0; n--) {
        days.add(DayOfWeek.of(1 + random.nextInt(7)));
        off.add(FRIDAY.plusDays(random.nextInt(120)));
      }
      WorkCalendar calendar = new WorkCalendar(days, off);
      LocalDate from = FRIDAY.plusDays(random.nextInt(60));
      LocalDate to = from.plusDays(random.nextInt(200));
      long each = from.plusDays(1).datesUntil(to.plusDays(1)).filter(calendar::isWorking).count();

      assertThat(calendar.between(from, to)).isEqualTo((int) each);
      assertThat(calendar.between(to, from)).isEqualTo((int) -each);
    }
  }
}
