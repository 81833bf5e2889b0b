package osmerin.formats.inventory;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.ResolverStyle;
import java.time.temporal.TemporalAccessor;
import java.util.Date;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Days as files write them. Where day and month cannot be told apart, as in 03/04/2024, the file's
 * other days decide: see {@link #dayFirst}.
 */
final class DateText {
  private static final Pattern SLASHED =
      Pattern.compile("(\\d{1,2})[/.-](\\d{1,2})[/.-](\\d{4})(\\D.*)?");

  private static final List<DateTimeFormatter> WORDED =
      List.of(
          form("d[.] MMM[.] uuuu"),
          form("d MMMM uuuu"),
          form("MMM[.] d[,] uuuu"),
          form("MMMM d[,] uuuu"),
          form("EEE[,] d MMM uuuu"),
          form("uuuu/M/d"),
          form("uuuuMMdd"));

  /** No day and no moment takes more characters. */
  private static final int LONGEST = 100;

  private final ZoneId zone;
  private final boolean dayFirst;

  /**
   * @param zone in which a moment becomes a day
   */
  DateText(ZoneId zone, boolean dayFirst) {
    this.zone = zone;
    this.dayFirst = dayFirst;
  }

  private static DateTimeFormatter form(String pattern) {
    return new DateTimeFormatterBuilder()
        .parseCaseInsensitive()
        .appendPattern(pattern)
        .toFormatter(Locale.ENGLISH)
        .withResolverStyle(ResolverStyle.STRICT);
  }

  /** Whether the day comes first: unless some text has a number above 12 in second place. */
  static boolean dayFirst(List<String> texts) {
    for (String text : texts) {
      Matcher slashed = SLASHED.matcher(text.strip());
      if (slashed.matches() && Integer.parseInt(slashed.group(2)) > 12) {
        return false;
      }
    }
    return true;
  }

  /** The day of a moment. */
  LocalDate day(Date moment) {
    return moment.toInstant().atZone(zone).toLocalDate();
  }

  /** The day that a text says; empty when it says none. */
  Optional<LocalDate> day(String text) {
    String said = text.strip().replaceAll("\\s+", " ");
    if (said.length() > LONGEST) {
      return Optional.empty();
    }
    Matcher slashed = SLASHED.matcher(said);
    if (slashed.matches()) {
      int first = Integer.parseInt(slashed.group(1));
      int second = Integer.parseInt(slashed.group(2));
      int year = Integer.parseInt(slashed.group(3));
      return made(year, dayFirst ? second : first, dayFirst ? first : second);
    }
    return isoMoment(said).or(() -> worded(said));
  }

  private static Optional<LocalDate> made(int year, int month, int day) {
    try {
      return Optional.of(LocalDate.of(year, month, day));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  private Optional<LocalDate> isoMoment(String text) {
    List<DateTimeFormatter> forms =
        List.of(
            DateTimeFormatter.ISO_OFFSET_DATE_TIME,
            DateTimeFormatter.RFC_1123_DATE_TIME,
            DateTimeFormatter.ISO_LOCAL_DATE_TIME,
            DateTimeFormatter.ISO_LOCAL_DATE);
    // "2024-03-05 14:02:00 +0100" is how many blogs write it.
    String iso =
        text.replaceFirst("^(\\d{4}-\\d{2}-\\d{2}) (\\d)", "$1T$2")
            .replaceFirst(" ([+-]\\d{2}):?(\\d{2})$", "$1:$2")
            .replaceFirst(
                "^(\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}(?::\\d{2})?(?:\\.\\d+)?)([+-]\\d{2})(\\d{2})$",
                "$1$2:$3")
            .replaceFirst("(\\d) (UTC|GMT|Z)$", "$1Z");
    String moment = text.endsWith("GMT") && text.contains(",") ? text : iso;
    for (DateTimeFormatter form : forms) {
      try {
        return Optional.of(
            day(
                form.parseBest(
                    moment, OffsetDateTime::from, LocalDateTime::from, LocalDate::from)));
      } catch (DateTimeException e) {
        continue;
      }
    }
    return Optional.empty();
  }

  private LocalDate day(TemporalAccessor parsed) {
    if (parsed instanceof OffsetDateTime moment) {
      return moment.atZoneSameInstant(zone).toLocalDate();
    }
    return LocalDate.from(parsed);
  }

  private static Optional<LocalDate> worded(String text) {
    for (DateTimeFormatter form : WORDED) {
      try {
        return Optional.of(LocalDate.parse(text, form));
      } catch (DateTimeException e) {
        continue;
      }
    }
    return Optional.empty();
  }
}
