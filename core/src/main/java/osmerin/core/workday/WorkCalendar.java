package osmerin.core.workday;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/**
 * The days on which work is done: a working week less days off (holidays, absences).
 *
 * @param week the working days of a week, at least one
 * @param daysOff days on which nobody works though the week has them
 */
public record WorkCalendar(Set<DayOfWeek> week, Set<LocalDate> daysOff) {
  /** Monday to Friday, no holidays. */
  public static final WorkCalendar MONDAY_TO_FRIDAY =
      new WorkCalendar(EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY), Set.of());

  /** Looking for a working day ends after so many days in a row without one. */
  private static final int MOST_DAYS_OFF = 3_660;

  /** Spans of more days, and days off, are counted by weeks. */
  private static final int LOOKED_AT_EACH = 14;

  public WorkCalendar {
    if (week.isEmpty()) {
      throw new IllegalArgumentException("a working week has at least one day");
    }
    // Asked for every day of every plan: a set of bits.
    week = Collections.unmodifiableSet(EnumSet.copyOf(week));
    daysOff = Set.copyOf(daysOff);
  }

  /** This calendar with more days off. */
  public WorkCalendar without(Set<LocalDate> more) {
    var all = new java.util.HashSet<>(daysOff);
    all.addAll(more);
    return new WorkCalendar(week, all);
  }

  public boolean isWorking(LocalDate day) {
    return week.contains(day.getDayOfWeek()) && !daysOff.contains(day);
  }

  /** The day itself, or the nearest working day before it. */
  public LocalDate onOrBefore(LocalDate day) {
    return nearest(day, -1);
  }

  /** The day itself, or the nearest working day after it. */
  public LocalDate onOrAfter(LocalDate day) {
    return nearest(day, 1);
  }

  /**
   * The working day that lies so many working days after the day; the day need not be one. 0 gives
   * the day itself or, on a day off, the working day before.
   */
  public LocalDate plus(LocalDate day, int workingDays) {
    if (workingDays < 0) {
      return minus(day, -workingDays);
    }
    LocalDate at = onOrBefore(day);
    for (int i = 0; i < workingDays; i++) {
      at = onOrAfter(at.plusDays(1));
    }
    return at;
  }

  /** The working day that lies so many working days before the day; the day need not be one. */
  public LocalDate minus(LocalDate day, int workingDays) {
    if (workingDays < 0) {
      return plus(day, -workingDays);
    }
    if (workingDays == 0) {
      return onOrBefore(day);
    }
    LocalDate at = day;
    for (int i = 0; i < workingDays; i++) {
      at = onOrBefore(at.minusDays(1));
    }
    return at;
  }

  /**
   * Working days between two days: those after the first up to and with the second; negative when
   * the second is earlier.
   */
  public int between(LocalDate from, LocalDate to) {
    if (to.isBefore(from)) {
      return -between(to, from);
    }
    long days = ChronoUnit.DAYS.between(from, to);
    return days > LOOKED_AT_EACH + daysOff.size() ? inWeeks(from, to, days) : each(from, to);
  }

  private int each(LocalDate from, LocalDate to) {
    int count = 0;
    for (LocalDate day = from.plusDays(1); !day.isAfter(to); day = day.plusDays(1)) {
      count += isWorking(day) ? 1 : 0;
    }
    return count;
  }

  /** By whole weeks and the days that are left, less the days off between. */
  private int inWeeks(LocalDate from, LocalDate to, long days) {
    int count = (int) (days / 7) * week.size();
    for (LocalDate day = to.minusDays(days % 7); day.isBefore(to); ) {
      day = day.plusDays(1);
      count += week.contains(day.getDayOfWeek()) ? 1 : 0;
    }
    for (LocalDate off : daysOff) {
      boolean between = off.isAfter(from) && !off.isAfter(to);
      count -= between && week.contains(off.getDayOfWeek()) ? 1 : 0;
    }
    return count;
  }

  /** Working days of a month. */
  public int in(YearMonth month) {
    return count(month.atDay(1), month.plusMonths(1).atDay(1));
  }

  /** Working days of a month that lie before the day. */
  public int inBefore(YearMonth month, LocalDate day) {
    LocalDate first = month.atDay(1);
    LocalDate end = month.plusMonths(1).atDay(1);
    return day.isBefore(first) ? 0 : count(first, day.isBefore(end) ? day : end);
  }

  private int count(LocalDate from, LocalDate end) {
    return (int) from.datesUntil(end).filter(this::isWorking).count();
  }

  private LocalDate nearest(LocalDate day, int step) {
    LocalDate at = day;
    for (int i = 0; i < MOST_DAYS_OFF; i++) {
      if (isWorking(at)) {
        return at;
      }
      at = at.plusDays(step);
    }
    throw new IllegalStateException("no working day within ten years of " + day);
  }
}
