package osmerin.app.absences;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import osmerin.app.team.Person;
import osmerin.app.workdays.SiteCalendars;
import osmerin.core.workday.WorkCalendar;
import osmerin.core.workday.WorkHours;

/**
 * The coming weeks: for each person the days on which they work. Places are percent of the width.
 *
 * @param mondays the first days of the weeks
 * @param off for each person, by id, the days on which they don't work
 * @param hours for each person, by id, how many they have for articles in each week
 */
record WeeksDrawing(
    List<Monday> mondays,
    Map<Long, List<Off>> off,
    Map<Long, List<Double>> hours,
    double today,
    double width) {
  private static final int WEEKS = 8;

  /** The first day of a week. */
  record Monday(double x, LocalDate day) {}

  /**
   * A day off.
   *
   * @param own whether the site works on it
   */
  record Off(double x, boolean own) {}

  static WeeksDrawing of(
      List<Person> people, SiteCalendars calendars, Map<Long, WorkHours> hours, LocalDate today) {
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
    Map<Long, List<Double>> each = new HashMap<>();
    for (Person person : people) {
      WorkHours own = hours.getOrDefault(person.id(), WorkHours.FULL);
      WorkCalendar calendar = calendars.of(person.id());
      each.put(
          person.id(),
          mondays.stream().map(m -> own.between(m.day(), m.day().plusDays(6), calendar)).toList());
    }
    return new WeeksDrawing(
        mondays, off, each, (today.getDayOfWeek().getValue() - 1) * width, width);
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
