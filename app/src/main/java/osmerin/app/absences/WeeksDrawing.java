package osmerin.app.absences;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import osmerin.app.team.Person;
import osmerin.app.workdays.SiteCalendars;
import osmerin.core.workday.WorkCalendar;

/**
 * The coming weeks: for each person the days on which they work. Places are percent of the width.
 *
 * @param mondays the first days of the weeks
 * @param off for each person, by id, the days on which they don't work
 */
record WeeksDrawing(List<Monday> mondays, Map<Long, List<Off>> off, double today, double width) {
  private static final int WEEKS = 8;

  /** The first day of a week. */
  record Monday(double x, LocalDate day) {}

  /**
   * A day off.
   *
   * @param own whether the site works on it
   */
  record Off(double x, boolean own) {}

  static WeeksDrawing of(List<Person> people, SiteCalendars calendars, LocalDate today) {
    LocalDate first = today.with(DayOfWeek.MONDAY);
    double width = 100.0 / (WEEKS * 7);
    List<Monday> mondays = new ArrayList<>();
    for (int week = 0; week < WEEKS; week++) {
      mondays.add(new Monday(week * 7 * width, first.plusWeeks(week)));
    }
    Map<Long, List<Off>> off =
        people.stream()
            .map(Person::id)
            .collect(
                Collectors.toMap(
                    Function.identity(), id -> off(calendars.of(id), calendars.site(), first)));
    return new WeeksDrawing(mondays, off, (today.getDayOfWeek().getValue() - 1) * width, width);
  }

  private static List<Off> off(WorkCalendar calendar, WorkCalendar site, LocalDate first) {
    List<Off> off = new ArrayList<>();
    double width = 100.0 / (WEEKS * 7);
    for (int i = 0; i < WEEKS * 7; i++) {
      LocalDate day = first.plusDays(i);
      if (!calendar.isWorking(day)) {
        off.add(new Off(i * width, site.isWorking(day)));
      }
    }
    return off;
  }
}
