package osmerin.app.demo;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import osmerin.core.workday.WorkCalendar;

/** Days of the demo, relative to today. */
record DemoMonth(LocalDate today, WorkCalendar calendar) {

  YearMonth month() {
    return YearMonth.from(today);
  }

  /** A working day so many working days from today. */
  LocalDate in(int workingDays) {
    return calendar.plus(calendar.onOrAfter(today), workingDays);
  }

  /** A working day so many days before the first of this month. */
  LocalDate before(long days) {
    return calendar.onOrBefore(month().atDay(1).minusDays(days));
  }

  /**
   * Working days of this month before today, spread evenly: a share of the number that grows with
   * the month, so that early in it there are few or none.
   */
  List<LocalDate> past(int number) {
    List<LocalDate> days = month().atDay(1).datesUntil(today).filter(calendar::isWorking).toList();
    int fitting = Math.min(number, days.size() / 3);
    List<LocalDate> chosen = new ArrayList<>();
    for (int i = 0; i < fitting; i++) {
      chosen.add(days.get(i * days.size() / fitting));
    }
    return chosen;
  }
}
