package osmerin.app.platform.web;

import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Volume;
import osmerin.core.runup.HoursText;
import osmerin.core.text.Counted;
import osmerin.core.text.Listed;
import osmerin.core.worth.Worth;

/** Dates and numbers in words, for templates: {@code in.day(date)}. */
public final class In {
  private static final DateTimeFormatter DAY = of("EEE d MMM");
  private static final DateTimeFormatter DAY_AND_YEAR = of("EEE d MMM uuuu");
  private static final DateTimeFormatter MONTH = of("LLLL");
  private static final DateTimeFormatter MONTH_AND_YEAR = of("LLLL uuuu");
  private static final DateTimeFormatter MOMENT = of("EEE d MMM, HH:mm");

  private static DateTimeFormatter of(String pattern) {
    return DateTimeFormatter.ofPattern(pattern, Locale.ENGLISH);
  }

  /** How near two texts are in meaning: "0.61". */
  public static String nearness(@Nullable Number near) {
    return near == null ? "–" : String.format(Locale.ENGLISH, "%.2f", near.doubleValue());
  }

  /** "Ravi and Tamsin", whoever is not known any more as such; empty for nobody. */
  public static String people(List<Long> people, Map<Long, String> names) {
    return Listed.of(
        people.stream().map(person -> names.getOrDefault(person, "somebody who left")).toList());
  }

  /** Whoever comes first of several, for a narrow place: "Ravi +1". */
  public static String first(List<Long> people, Map<Long, String> names) {
    String first = people(people.subList(0, Math.min(1, people.size())), names);
    return people.size() > 1 ? first + " +" + (people.size() - 1) : first;
  }

  /** "Tue 8 Dec". */
  public static String day(@Nullable LocalDate day) {
    return day == null ? "" : DAY.format(day);
  }

  /**
   * What a date field shows: "Tue 8 Dec", with the year when it is not this one; else what was
   * typed.
   */
  public static String dayField(@Nullable Object day, LocalDate today) {
    if (day instanceof LocalDate date) {
      return date.getYear() == today.getYear() ? day(date) : dayAndYear(date);
    }
    return day == null ? "" : day.toString();
  }

  /** "Tue 8 Dec 2026". */
  public static String dayAndYear(@Nullable LocalDate day) {
    return day == null ? "" : DAY_AND_YEAR.format(day);
  }

  /** "December", with the year when it is not this one. */
  public static String month(YearMonth month, LocalDate today) {
    return (month.getYear() == today.getYear() ? MONTH : MONTH_AND_YEAR).format(month);
  }

  /** "Tue 8 Dec, 14:02". */
  public static String moment(@Nullable Instant moment, ZoneId zone) {
    return moment == null ? "" : MOMENT.format(moment.atZone(zone));
  }

  /** "Tue 8 Dec 2026". */
  public static String dayAndYear(@Nullable Instant moment, ZoneId zone) {
    return moment == null ? "" : dayAndYear(moment.atZone(zone).toLocalDate());
  }

  /** "1,204"; "–" for what is unknown. */
  public static String number(@Nullable Long number) {
    return number == null ? "–" : String.format(Locale.ENGLISH, "%,d", number);
  }

  /** "4,210", or "1,000–10,000" of a range. */
  public static String volume(@Nullable Volume volume) {
    return volume == null || !volume.isRange()
        ? number(volume == null ? null : volume.searches())
        : number(volume.low()) + "–" + number(volume.high());
  }

  /** "144", or "46–460" of a range. */
  public static String span(Worth.@Nullable Span span) {
    if (span == null) {
      return "–";
    }
    return span.isRange() ? rounded(span.low()) + "–" + rounded(span.high()) : rounded(span.low());
  }

  /** "4,210" or "4.2": as many places as a figure that was worked out deserves. */
  public static String rounded(double number) {
    return number >= 10 ? number(Math.round(number)) : decimal(number);
  }

  /** "42 %" or "3.7 %", of a share from 0 to 1. */
  public static String percent(double share) {
    double percent = share * 100;
    return (percent >= 10 || percent == 0
            ? String.valueOf(Math.round(percent))
            : decimal(percent < 0.1 ? 0.1 : percent))
        + " %";
  }

  /** "4.5", "4". */
  public static String decimal(double number) {
    String text = String.format(Locale.ENGLISH, "%.1f", number);
    return text.endsWith(".0") ? text.substring(0, text.length() - 2) : text;
  }

  /** "1.25", "4": hours are planned in quarters, which one decimal would round away. */
  public static String hours(double hours) {
    return HoursText.of(hours);
  }

  /** "1 group", "2 groups". */
  public static String counted(long number, String thing) {
    return Counted.of(number, thing);
  }

  /** "1 person", "2 people". */
  public static String counted(long number, String one, String many) {
    return Counted.of(number, one, many);
  }
}
