package osmerin.core.workday;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DayAfterTest {
  private static final LocalDate TUESDAY = LocalDate.of(2026, 12, 1);
  private static final WorkCalendar SITE = WorkCalendar.MONDAY_TO_FRIDAY;

  @Test
  void working_days_later_the_same_day_and_a_day_off() {
    assertThat(new DayAfter.WorkingDays(3).of(TUESDAY, SITE)).isEqualTo(TUESDAY.plusDays(3));
    assertThat(new DayAfter.WorkingDays(4).of(TUESDAY, SITE)).isEqualTo(TUESDAY.plusDays(6));
    LocalDate saturday = TUESDAY.plusDays(4);
    assertThat(new DayAfter.WorkingDays(0).of(saturday, SITE)).isEqualTo(TUESDAY.plusDays(3));
  }

  @Test
  void a_weekday_after_is_never_the_day_itself() {
    DayAfter second = new DayAfter.Weekday(2, DayOfWeek.THURSDAY);
    assertThat(second.of(TUESDAY, SITE)).isEqualTo(LocalDate.of(2026, 12, 10));
    DayAfter next = new DayAfter.Weekday(1, DayOfWeek.TUESDAY);
    assertThat(next.of(TUESDAY, SITE)).isEqualTo(TUESDAY.plusWeeks(1));
    WorkCalendar holiday = SITE.without(Set.of(TUESDAY.plusWeeks(1)));
    assertThat(next.of(TUESDAY, holiday)).isEqualTo(TUESDAY.plusDays(6));
  }

  @Test
  void a_weekday_after_on_a_day_off_never_steps_back_to_the_day_or_before_it() {
    DayAfter next = new DayAfter.Weekday(1, DayOfWeek.WEDNESDAY);
    WorkCalendar holiday = SITE.without(Set.of(TUESDAY.plusDays(1)));
    assertThat(next.of(TUESDAY, holiday)).isEqualTo(TUESDAY.plusDays(2));
    WorkCalendar both = SITE.without(Set.of(TUESDAY, TUESDAY.plusDays(1)));
    assertThat(next.of(TUESDAY, both)).isEqualTo(TUESDAY.plusDays(2));
  }

  /** Counted one day after the other. */
  @Test
  void it_is_what_counting_gives() {
    Random random = new Random(3);
    for (int i = 0; i < 3_000; i++) {
      Set<DayOfWeek> week = EnumSet.of(DayOfWeek.of(1 + random.nextInt(7)));
      for (DayOfWeek day : DayOfWeek.values()) {
        if (random.nextInt(3) > 0) {
          week.add(day);
        }
      }
      Set<LocalDate> off = new HashSet<>();
      for (int o = 0; o < random.nextInt(6); o++) {
        off.add(TUESDAY.plusDays(random.nextInt(40)));
      }
      WorkCalendar site = new WorkCalendar(week, off);
      LocalDate other = TUESDAY.plusDays(random.nextInt(30));
      int days = random.nextInt(9);
      assertThat(new DayAfter.WorkingDays(days).of(other, site))
          .isEqualTo(counted(other, days, site));
      int nth = 1 + random.nextInt(4);
      DayOfWeek weekday = DayOfWeek.of(1 + random.nextInt(7));
      assertThat(new DayAfter.Weekday(nth, weekday).of(other, site))
          .isEqualTo(counted(other, nth, weekday, site));
    }
  }

  private static LocalDate counted(LocalDate other, int days, WorkCalendar site) {
    LocalDate day = back(other, site);
    for (int left = days; left > 0; ) {
      day = day.plusDays(1);
      left -= site.isWorking(day) ? 1 : 0;
    }
    return day;
  }

  private static LocalDate counted(LocalDate other, int nth, DayOfWeek weekday, WorkCalendar site) {
    LocalDate day = other;
    for (int left = nth; left > 0; ) {
      day = day.plusDays(1);
      left -= day.getDayOfWeek() == weekday ? 1 : 0;
    }
    LocalDate before = back(day, site);
    while (!before.isAfter(other) || !site.isWorking(before)) {
      before = before.plusDays(1);
    }
    return before;
  }

  private static LocalDate back(LocalDate from, WorkCalendar site) {
    LocalDate day = from;
    while (!site.isWorking(day)) {
      day = day.minusDays(1);
    }
    return day;
  }

  @ParameterizedTest
  @CsvSource({
    "3 working days after MP-0064, 3 working days after, mp-0064",
    "1 day after mp-64, 1 working day after, mp-64",
    "The  same day as MP-1, the same day as, mp-1",
    "the second Thursday after MP-0064, the second Thursday after, mp-0064",
    "2nd thu after MP-0064, the second Thursday after, mp-0064",
    "tue after MP-0064, the first Tuesday after, mp-0064",
    "next friday after MP-0064, the first Friday after, mp-0064",
    "the 21st sunday after MP-0064, the 21st Sunday after, mp-0064",
    "12th mon after MP-0064, the 12th Monday after, mp-0064"
  })
  void what_people_type_is_read(String typed, String words, String other) {
    DayAfterText.Typed read = DayAfterText.read(typed).orElseThrow();
    assertThat(DayAfterText.of(read.day())).isEqualTo(words);
    assertThat(read.other()).isEqualTo(other);
    assertThat(DayAfterText.read(words + " " + other)).contains(read);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "MP-0064",
        "3 weeks after",
        "some Thursday after MP-1",
        "3 days before MP-1",
        "the fifth someday after MP-1"
      })
  void what_is_none_is_none(String typed) {
    assertThat(DayAfterText.read(typed)).isEmpty();
  }

  @Test
  void what_lies_too_far_away_is_said() {
    for (String typed :
        new String[] {"251 days after MP-1", "53rd mon after MP-1", "0th mon after MP-1"}) {
      assertThatThrownBy(() -> DayAfterText.read(typed))
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageStartingWith("At most");
    }
  }
}
