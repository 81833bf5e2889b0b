package osmerin.core.workday;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.Year;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A day as people type it: "Tue 8 Dec", "8 dec", "dec 8 2027", "8/12", "8.12.2027", "2026-12-08",
 * "tue", "today", "tomorrow", "+5". The day stands before the month; without a year it is the one
 * nearest to today.
 */
public final class DayText {
  /** What to tell who typed something else. */
  public static final String HINT = "Type a day such as 8 dec, tue or +5.";

  private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
  private static final Pattern FROM_TODAY = Pattern.compile("([+-])\\s*(\\d{1,3})");
  private static final Pattern NUMBERS =
      Pattern.compile("(\\d{1,2})\\s*[./]\\s*(\\d{1,2})\\s*[./]?\\s*(\\d{4}|\\d{2})?");
  private static final Pattern DAY_FIRST =
      Pattern.compile("(\\d{1,2})(?:st|nd|rd|th)?\\s+([a-z]{3,9})\\.?,?(?:\\s+(\\d{4}|\\d{2}))?");
  private static final Pattern MONTH_FIRST =
      Pattern.compile("([a-z]{3,9})\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?,?(?:\\s+(\\d{4}|\\d{2}))?");
  private static final Pattern WEEKDAY_BEFORE = Pattern.compile("([a-z]{2,9})[.,]?\\s+(.+)");

  /** No day takes more characters. */
  private static final int LONGEST = 60;

  private DayText() {}

  /** The day that is meant; empty when none is. */
  public static Optional<LocalDate> read(String typed, LocalDate today) {
    String text = typed.strip().toLowerCase(Locale.ROOT);
    if (text.length() > LONGEST) {
      return Optional.empty();
    }
    try {
      return fromToday(text, today)
          .or(() -> date(text, today))
          .or(() -> withoutWeekday(text).flatMap(rest -> date(rest, today)));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  /** By its distance: a weekday is the next one, today counted. */
  private static Optional<LocalDate> fromToday(String text, LocalDate today) {
    Matcher days = FROM_TODAY.matcher(text);
    if (days.matches()) {
      long count = Long.parseLong(days.group(2));
      return Optional.of(today.plusDays(days.group(1).equals("-") ? -count : count));
    }
    return switch (text) {
      case "today" -> Optional.of(today);
      case "tomorrow" -> Optional.of(today.plusDays(1));
      case "yesterday" -> Optional.of(today.minusDays(1));
      default -> weekday(text).map(day -> today.with(TemporalAdjusters.nextOrSame(day)));
    };
  }

  private static Optional<LocalDate> date(String text, LocalDate today) {
    Matcher iso = ISO.matcher(text);
    if (iso.matches()) {
      return Optional.of(
          LocalDate.of(number(iso.group(1)), number(iso.group(2)), number(iso.group(3))));
    }
    Matcher numbers = NUMBERS.matcher(text);
    if (numbers.matches()) {
      Month month = Month.of(number(numbers.group(2)));
      return Optional.of(day(number(numbers.group(1)), month, numbers.group(3), today));
    }
    Matcher dayFirst = DAY_FIRST.matcher(text);
    if (dayFirst.matches()) {
      return month(dayFirst.group(2))
          .map(month -> day(number(dayFirst.group(1)), month, dayFirst.group(3), today));
    }
    Matcher monthFirst = MONTH_FIRST.matcher(text);
    return monthFirst.matches()
        ? month(monthFirst.group(1))
            .map(month -> day(number(monthFirst.group(2)), month, monthFirst.group(3), today))
        : Optional.empty();
  }

  /** What follows a weekday; the date counts, even if it falls on another. */
  private static Optional<String> withoutWeekday(String text) {
    Matcher matcher = WEEKDAY_BEFORE.matcher(text);
    return matcher.matches() && weekday(matcher.group(1)).isPresent()
        ? Optional.of(matcher.group(2))
        : Optional.empty();
  }

  private static LocalDate day(int day, Month month, String year, LocalDate today) {
    if (year != null) {
      return LocalDate.of(year.length() == 2 ? 2000 + number(year) : number(year), month, day);
    }
    return Stream.of(0, 1, -1)
        .map(years -> today.getYear() + years)
        .filter(y -> day <= month.length(Year.isLeap(y)))
        .map(y -> LocalDate.of(y, month, day))
        .min(Comparator.comparingLong(date -> Math.abs(ChronoUnit.DAYS.between(today, date))))
        .orElseThrow(() -> new DateTimeException("no such day"));
  }

  private static int number(String digits) {
    return Integer.parseInt(digits);
  }

  private static Optional<DayOfWeek> weekday(String text) {
    return named(
        DayOfWeek.values(), d -> d.getDisplayName(TextStyle.FULL, Locale.ENGLISH), 2, text);
  }

  private static Optional<Month> month(String text) {
    return named(Month.values(), m -> m.getDisplayName(TextStyle.FULL, Locale.ENGLISH), 3, text);
  }

  /** The one whose English name begins so. */
  private static <T> Optional<T> named(
      T[] values, Function<T, String> name, int fewest, String text) {
    return text.length() < fewest
        ? Optional.empty()
        : Arrays.stream(values)
            .filter(value -> name.apply(value).toLowerCase(Locale.ROOT).startsWith(text))
            .findFirst();
  }
}
