package osmerin.core.workday;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Map;

/**
 * How many hours a person has for articles: those of a working day, less what other work takes.
 *
 * @param aDay hours of a working day, above 0 and at most 24
 * @param reserved hours that other work takes each week, by day of the week
 */
public record WorkHours(double aDay, Map<DayOfWeek, Double> reserved) {
  /** Hours of a working day of whoever has said nothing else. */
  public static final double USUAL = 8;

  /** A full day with nothing reserved. */
  public static final WorkHours FULL = new WorkHours(USUAL, Map.of());

  public WorkHours {
    if (!(aDay > 0 && aDay <= 24)) {
      throw new IllegalArgumentException("a day of " + aDay + " hours");
    }
    reserved = Map.copyOf(reserved);
  }

  /** Hours on one day; none on a day off, never below 0. */
  public double on(LocalDate day, WorkCalendar calendar) {
    double taken = reserved.getOrDefault(day.getDayOfWeek(), 0.0);
    return calendar.isWorking(day) ? Math.max(0, aDay - taken) : 0;
  }

  /** Hours from a day up to and with another. */
  public double between(LocalDate first, LocalDate last, WorkCalendar calendar) {
    return first.datesUntil(last.plusDays(1)).mapToDouble(day -> on(day, calendar)).sum();
  }
}
