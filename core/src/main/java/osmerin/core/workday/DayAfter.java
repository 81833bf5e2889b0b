package osmerin.core.workday;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;

/**
 * A day that hangs on another one. On a day off of the site it is the working day before, unless
 * that is no longer after the other day: then the next one.
 */
public sealed interface DayAfter {
  /** The furthest, in working days. */
  int MOST_DAYS = 250;

  /** The furthest, in weeks. */
  int MOST_WEEKS = 52;

  /** The day, given the one it hangs on. */
  LocalDate of(LocalDate other, WorkCalendar site);

  /**
   * So many working days later.
   *
   * @param days 0, the same day, to {@link DayAfter#MOST_DAYS}
   */
  record WorkingDays(int days) implements DayAfter {
    public WorkingDays {
      if (days < 0 || days > MOST_DAYS) {
        throw new IllegalArgumentException(
            "At most %s working days after another.".formatted(MOST_DAYS));
      }
    }

    @Override
    public LocalDate of(LocalDate other, WorkCalendar site) {
      return site.plus(other, days);
    }
  }

  /**
   * A day of the week that comes later.
   *
   * @param nth 1, the first after the other day, to {@link DayAfter#MOST_WEEKS}
   */
  record Weekday(int nth, DayOfWeek weekday) implements DayAfter {
    public Weekday {
      if (nth < 1 || nth > MOST_WEEKS) {
        throw new IllegalArgumentException("At most %s weeks after another.".formatted(MOST_WEEKS));
      }
    }

    @Override
    public LocalDate of(LocalDate other, WorkCalendar site) {
      LocalDate day = other.with(TemporalAdjusters.next(weekday)).plusWeeks(nth - 1L);
      LocalDate working = site.onOrBefore(day);
      return working.isAfter(other) ? working : site.onOrAfter(day);
    }
  }
}
