package osmerin.core.pace;

import java.time.LocalDate;
import java.time.YearMonth;
import osmerin.core.workday.WorkCalendar;

/** A month on a day of it, before it or after it. */
public record MonthSoFar(YearMonth month, LocalDate today, WorkCalendar calendar) {
  /**
   * The share of the month's working days that lie before today, 0–1. A month of holidays only has
   * none to share by; then it is 0.
   */
  double past() {
    int workingDays = calendar.in(month);
    return workingDays == 0 ? 0 : (double) calendar.inBefore(month, today) / workingDays;
  }
}
