package osmerin.app.follows;

import java.time.DayOfWeek;
import org.jspecify.annotations.Nullable;
import osmerin.core.workday.DayAfter;

/**
 * That the date of a round hangs on the day of another.
 *
 * @param workingDays so many after it, or null
 * @param nth of a later week's day, or null
 * @param weekday from 1, Monday, to 7, or null
 */
record Follow(
    long roundId,
    long otherRoundId,
    @Nullable Integer workingDays,
    @Nullable Integer nth,
    @Nullable Integer weekday) {
  static Follow of(long roundId, long otherRoundId, DayAfter day) {
    return day instanceof DayAfter.Weekday later
        ? new Follow(roundId, otherRoundId, null, later.nth(), later.weekday().getValue())
        : new Follow(roundId, otherRoundId, ((DayAfter.WorkingDays) day).days(), null, null);
  }

  DayAfter day() {
    return nth != null && weekday != null
        ? new DayAfter.Weekday(nth, DayOfWeek.of(weekday))
        : new DayAfter.WorkingDays(workingDays == null ? 0 : workingDays);
  }
}
