package osmerin.app.plan;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import osmerin.app.rounds.PlannedRound;
import osmerin.core.workday.WorkCalendar;

/** A month ruled into weeks from Monday to Sunday. */
record CalendarMonth(YearMonth month, List<Week> weeks) {
  /** Slips that a day shows before the rest folds away. */
  static final int SLIPS_SHOWN = 4;

  /** A week; {@code number} is the ISO one. */
  record Week(int number, List<Day> days) {}

  /**
   * A day; {@code inMonth} is false for the days before and after the month that fill its weeks.
   */
  record Day(
      LocalDate date, boolean inMonth, boolean working, boolean today, List<PlannedRound> slips) {
    public List<PlannedRound> shown() {
      return slips.size() <= SLIPS_SHOWN ? slips : slips.subList(0, SLIPS_SHOWN - 1);
    }

    public List<PlannedRound> folded() {
      return slips.subList(shown().size(), slips.size());
    }
  }

  static LocalDate firstDay(YearMonth month) {
    return month.atDay(1).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
  }

  static LocalDate lastDay(YearMonth month) {
    return month.atEndOfMonth().with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
  }

  static CalendarMonth of(
      YearMonth month, List<PlannedRound> rounds, LocalDate today, WorkCalendar calendar) {
    Map<LocalDate, List<PlannedRound>> byDay =
        rounds.stream().collect(Collectors.groupingBy(p -> p.round().day()));
    List<Week> weeks = new ArrayList<>();
    for (LocalDate monday = firstDay(month);
        !monday.isAfter(month.atEndOfMonth());
        monday = monday.plusWeeks(1)) {
      List<Day> days =
          monday
              .datesUntil(monday.plusWeeks(1))
              .map(
                  date ->
                      new Day(
                          date,
                          YearMonth.from(date).equals(month),
                          calendar.isWorking(date),
                          date.equals(today),
                          byDay.getOrDefault(date, List.of())))
              .toList();
      weeks.add(new Week(monday.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR), days));
    }
    return new CalendarMonth(month, weeks);
  }
}
