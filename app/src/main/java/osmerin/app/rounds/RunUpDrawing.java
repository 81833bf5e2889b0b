package osmerin.app.rounds;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.app.runups.StepRow;
import osmerin.app.workdays.SiteCalendars;
import osmerin.core.runup.PlannedStep;
import osmerin.core.workday.WorkCalendar;

/**
 * The run-up of an article drawn over the days: for each step the work as early as it can be, the
 * time up to its last possible day, and its due date. Places are percent of the width.
 *
 * @param days the columns
 * @param off days on which the site does not work
 * @param today the middle of today, null outside the days
 * @param publish the middle of the publish day, null outside the days or without one
 * @param rows one for each step, in their order
 */
public record RunUpDrawing(
    List<Day> days,
    List<Span> off,
    @Nullable Double today,
    @Nullable Double publish,
    List<Row> rows) {
  /** Follow-ups farther than this after the publish day lie beyond the drawing. */
  private static final int DAYS_AFTER = 7;

  /** What was done longer ago lies before the drawing. */
  private static final int DAYS_BEFORE = 7;

  private static final int FEWEST_DAYS = 14;
  private static final int MOST_DAYS = 92;

  /** Above so many days only Mondays carry a label. */
  private static final int MOST_LABELS = 26;

  /** A column; without a label where the days are many. */
  public record Day(
      double x, double width, String weekday, String number, boolean monday, boolean today) {}

  /** From {@code x} on, {@code width} wide. */
  public record Span(double x, double width) {}

  /**
   * A step.
   *
   * @param work null when it is done or lies outside the days
   * @param reach from the first day of the work to its last possible end
   * @param due the middle of the due day
   * @param done the middle of the day on which it was done
   * @param away days on which whoever does it does not work though the site does
   * @param beyond its due date when it lies after the last day
   */
  public record Row(
      @Nullable Span work,
      @Nullable Span reach,
      @Nullable Double due,
      @Nullable Double done,
      List<Span> away,
      boolean deciding,
      boolean late,
      @Nullable LocalDate beyond) {}

  /** Draws it. */
  static RunUpDrawing of(PlannedRound planned, SiteCalendars calendars) {
    return new Drawing(planned, calendars).drawing();
  }

  private static final class Drawing {
    private final PlannedRound planned;
    private final SiteCalendars calendars;
    private final LocalDate first;
    private final LocalDate last;
    private final double width;

    Drawing(PlannedRound planned, SiteCalendars calendars) {
      this.planned = planned;
      this.calendars = calendars;
      this.first = first();
      this.last = last();
      this.width = 100.0 / (ChronoUnit.DAYS.between(first, last) + 1);
    }

    private @Nullable LocalDate publishDay() {
      return planned.round().day();
    }

    private LocalDate first() {
      LocalDate middle = planned.round().isLive() ? publishDay() : planned.today();
      LocalDate oldest = middle.minusDays(DAYS_BEFORE);
      LocalDate from =
          Stream.concat(
                  planned.steps().stream().map(StepRow::doneOn), Stream.of(publishDay(), middle))
              .filter(Objects::nonNull)
              .filter(day -> !day.isBefore(oldest))
              .min(LocalDate::compareTo)
              .orElse(middle);
      return from.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private LocalDate last() {
      LocalDate publish = publishDay();
      LocalDate end =
          planned.plan().steps().stream()
              .filter(step -> !step.step().followUp())
              .flatMap(step -> Stream.of(step.earliestEnd(), step.latestEnd(), step.due()))
              .filter(Objects::nonNull)
              .max(LocalDate::compareTo)
              .orElse(first);
      LocalDate after = publish == null ? end : later(end, publish.plusDays(DAYS_AFTER));
      LocalDate shortest = later(after, first.plusDays(FEWEST_DAYS - 1));
      LocalDate longest = first.plusDays(MOST_DAYS - 1);
      return shortest.isAfter(longest) ? longest : shortest;
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
      return a.isAfter(b) ? a : b;
    }

    RunUpDrawing drawing() {
      List<Row> rows = new ArrayList<>();
      for (int i = 0; i < planned.steps().size(); i++) {
        rows.add(row(planned.steps().get(i), planned.plan().steps().get(i)));
      }
      return new RunUpDrawing(
          days(), off(calendars.site(), null), middle(planned.today()), middle(publishDay()), rows);
    }

    private Row row(StepRow step, PlannedStep plan) {
      WorkCalendar calendar = calendars.of(planned.round().holder(step));
      boolean away = !plan.done() && !calendar.equals(calendars.site());
      LocalDate due = plan.due();
      return new Row(
          isDrawn(plan) ? span(plan.earliestStart(), plan.earliestEnd()) : null,
          plan.latestEnd() == null ? null : span(plan.earliestStart(), plan.latestEnd()),
          plan.done() ? null : middle(due),
          middle(step.doneOn()),
          away ? off(calendar, calendars.site()) : List.of(),
          planned.plan().deciding().contains(plan.step()),
          planned.isOverdue(plan),
          !plan.done() && due != null && due.isAfter(last) ? due : null);
    }

    /** Nobody knows when a follow-up begins of what has no publish date. */
    private boolean isDrawn(PlannedStep plan) {
      return !plan.done() && !(plan.step().followUp() && publishDay() == null);
    }

    /** What of a span lies within the days; null when nothing does. */
    private @Nullable Span span(@Nullable LocalDate from, @Nullable LocalDate to) {
      if (from == null || to == null || to.isBefore(from)) {
        return null;
      }
      LocalDate start = from.isBefore(first) ? first : from;
      LocalDate end = to.isAfter(last) ? last : to;
      return end.isBefore(start)
          ? null
          : new Span(x(start), (ChronoUnit.DAYS.between(start, end) + 1) * width);
    }

    private double x(LocalDate day) {
      return ChronoUnit.DAYS.between(first, day) * width;
    }

    private @Nullable Double middle(@Nullable LocalDate day) {
      return day == null || day.isBefore(first) || day.isAfter(last) ? null : x(day) + width / 2;
    }

    /** Days off; with another calendar only those on which the other works. */
    private List<Span> off(WorkCalendar calendar, @Nullable WorkCalendar other) {
      List<Span> spans = new ArrayList<>();
      LocalDate from = null;
      for (LocalDate day = first; !day.isAfter(last.plusDays(1)); day = day.plusDays(1)) {
        boolean off =
            !day.isAfter(last)
                && !calendar.isWorking(day)
                && (other == null || other.isWorking(day));
        if (off && from == null) {
          from = day;
        } else if (!off && from != null) {
          spans.add(span(from, day.minusDays(1)));
          from = null;
        }
      }
      return spans;
    }

    private List<Day> days() {
      boolean many = ChronoUnit.DAYS.between(first, last) + 1 > MOST_LABELS;
      List<Day> days = new ArrayList<>();
      first
          .datesUntil(last.plusDays(1))
          .forEach(
              day -> {
                boolean labelled = !many || day.getDayOfWeek() == DayOfWeek.MONDAY;
                days.add(
                    new Day(
                        x(day),
                        many ? 7 * width : width,
                        labelled ? weekday(day) : "",
                        labelled ? number(day, many) : "",
                        day.getDayOfWeek() == DayOfWeek.MONDAY,
                        day.equals(planned.today())));
              });
      return days;
    }

    /** "Mo"; the first of a month is told by its name instead. */
    private static String weekday(LocalDate day) {
      if (day.getDayOfMonth() == 1) {
        return day.getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
      }
      return day.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH).substring(0, 2);
    }

    private static String number(LocalDate day, boolean withMonth) {
      String month = day.getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
      return day.getDayOfMonth() + (withMonth ? " " + month : "");
    }
  }
}
