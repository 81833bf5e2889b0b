package osmerin.core.workday;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class WorkHoursTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 11, 30);

  @Test
  void a_full_week_has_forty_hours() {
    assertThat(WorkHours.FULL.between(MONDAY, MONDAY.plusDays(6), WorkCalendar.MONDAY_TO_FRIDAY))
        .isEqualTo(40);
  }

  @Test
  void what_other_work_takes_is_not_there_for_articles() {
    WorkHours hours =
        new WorkHours(
            6, Map.of(DayOfWeek.MONDAY, 1.5, DayOfWeek.FRIDAY, 7.0, DayOfWeek.SUNDAY, 3.0));

    assertThat(hours.on(MONDAY, WorkCalendar.MONDAY_TO_FRIDAY)).isEqualTo(4.5);
    assertThat(hours.on(MONDAY.plusDays(4), WorkCalendar.MONDAY_TO_FRIDAY)).isZero();
    assertThat(hours.on(MONDAY.plusDays(6), WorkCalendar.MONDAY_TO_FRIDAY)).isZero();
    assertThat(hours.between(MONDAY, MONDAY.plusDays(6), WorkCalendar.MONDAY_TO_FRIDAY))
        .isEqualTo(4.5 + 6 + 6 + 6);
  }

  @Test
  void a_day_off_has_none_and_takes_none() {
    WorkHours hours = new WorkHours(6, Map.of(DayOfWeek.MONDAY, 1.5));
    WorkCalendar away = WorkCalendar.MONDAY_TO_FRIDAY.without(Set.of(MONDAY));

    assertThat(hours.between(MONDAY, MONDAY.plusDays(1), away)).isEqualTo(6);
    assertThat(hours.between(MONDAY, MONDAY, away)).isZero();
  }

  @Test
  void a_day_has_some_hours_and_no_more_than_24() {
    for (double hours : new double[] {0, -1, 24.01, Double.NaN}) {
      assertThatThrownBy(() -> new WorkHours(hours, Map.of()))
          .isInstanceOf(IllegalArgumentException.class);
    }
  }
}
