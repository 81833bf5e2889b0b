package osmerin.app.absences;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import osmerin.app.site.Role;
import osmerin.app.team.Person;
import osmerin.app.workdays.SiteCalendars;
import osmerin.core.workday.WorkCalendar;
import osmerin.core.workday.WorkHours;

/** The strip of weeks of each person. */
class WeeksDrawingTest {
  private static final LocalDate WEDNESDAY = LocalDate.of(2026, 12, 2);

  private static Person person(long id) {
    return new Person(id, "p" + id, "P", "P", null, Role.WRITER, Instant.EPOCH);
  }

  @Test
  void daysOffOfTheSiteAndOfThePersonAloneAreToldApart() {
    WorkCalendar site = WorkCalendar.MONDAY_TO_FRIDAY.without(Set.of(LocalDate.of(2026, 12, 25)));
    WorkCalendar partTime =
        new WorkCalendar(EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.THURSDAY), site.daysOff());

    WeeksDrawing drawing =
        WeeksDrawing.of(
            List.of(person(1), person(2)),
            new SiteCalendars(site, Map.of(2L, partTime)),
            Map.of(2L, new WorkHours(6, Map.of(DayOfWeek.MONDAY, 2.0))),
            WEDNESDAY);

    assertThat(drawing.mondays()).hasSize(8);
    assertThat(drawing.mondays().get(0).day()).isEqualTo(LocalDate.of(2026, 11, 30));
    assertThat(drawing.today()).isCloseTo(2 * drawing.width(), within(1e-9));
    assertThat(drawing.off().get(1L)).hasSize(8 * 2 + 1).noneMatch(WeeksDrawing.Off::own);
    // Eight Fridays, of which one is a holiday for everybody.
    assertThat(drawing.off().get(2L)).filteredOn(WeeksDrawing.Off::own).hasSize(7);
    assertThat(drawing.off().get(2L).get(0).x()).isCloseTo(4 * drawing.width(), within(1e-9));
    assertThat(drawing.hours().get(1L))
        .containsExactly(40.0, 40.0, 40.0, 32.0, 40.0, 40.0, 40.0, 40.0);
    assertThat(drawing.hours().get(2L)).containsOnly(22.0);
  }
}
