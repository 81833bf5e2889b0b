package osmerin.core.workday;

import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import osmerin.core.text.Counted;

/** A day that hangs on another, as people type it: "3 working days after MP-0064". */
public final class DayAfterText {
  /** What to tell who typed something else. */
  public static final String HINT =
      "Type “3 working days after MP-0064”, “the second Thursday after MP-0064” or “the same day as"
          + " MP-0064”.";

  private static final List<String> ORDINALS = List.of("first", "second", "third", "fourth");
  private static final Pattern SAME = Pattern.compile("(?:the )?same day as (.+)");
  private static final Pattern DAYS = Pattern.compile("(\\d{1,4}) (?:working )?days? after (.+)");
  private static final Pattern WEEKDAY =
      Pattern.compile("(?:the )?(?:(\\d{1,3})(?:st|nd|rd|th) |([a-z]+) )?([a-z]{3,9}) after (.+)");

  /** The longest title that it can hang on, and what stands around it. */
  private static final int LONGEST = 400;

  private DayAfterText() {}

  /**
   * What was typed.
   *
   * @param other the one it hangs on, as it was typed
   */
  public record Typed(DayAfter day, String other) {}

  /**
   * Reads it; empty when it is none.
   *
   * @throws IllegalArgumentException when it lies too far away
   */
  public static Optional<Typed> read(String text) {
    String plain = text.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
    if (plain.length() > LONGEST) {
      return Optional.empty();
    }
    Matcher same = SAME.matcher(plain);
    if (same.matches()) {
      return Optional.of(new Typed(new DayAfter.WorkingDays(0), same.group(1)));
    }
    Matcher days = DAYS.matcher(plain);
    if (days.matches()) {
      DayAfter day = new DayAfter.WorkingDays(Integer.parseInt(days.group(1)));
      return Optional.of(new Typed(day, days.group(2)));
    }
    Matcher weekday = WEEKDAY.matcher(plain);
    return weekday.matches() ? weekday(weekday) : Optional.empty();
  }

  private static Optional<Typed> weekday(Matcher typed) {
    Optional<DayOfWeek> day =
        Arrays.stream(DayOfWeek.values())
            .filter(d -> d.name().toLowerCase(Locale.ROOT).startsWith(typed.group(3)))
            .findFirst();
    int nth = nth(typed.group(1), typed.group(2));
    return day.filter(d -> nth >= 0)
        .map(d -> new Typed(new DayAfter.Weekday(nth, d), typed.group(4)));
  }

  /** Below 0 for a word that is not a number; without any it is the first. */
  private static int nth(String digits, String word) {
    if (digits != null) {
      return Integer.parseInt(digits);
    }
    if (word == null || word.equals("next")) {
      return 1;
    }
    int at = ORDINALS.indexOf(word);
    return at < 0 ? -1 : at + 1;
  }

  /** "3 working days after", "the second Thursday after", "the same day as". */
  public static String of(DayAfter day) {
    if (day instanceof DayAfter.Weekday weekday) {
      String name = weekday.weekday().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
      return "the " + ordinal(weekday.nth()) + " " + name + " after";
    }
    int days = ((DayAfter.WorkingDays) day).days();
    return days == 0 ? "the same day as" : Counted.of(days, "working day") + " after";
  }

  private static String ordinal(int nth) {
    if (nth <= ORDINALS.size()) {
      return ORDINALS.get(nth - 1);
    }
    int last = nth % 10;
    boolean teen = nth % 100 / 10 == 1;
    return nth + (teen || last == 0 || last > 3 ? "th" : List.of("st", "nd", "rd").get(last - 1));
  }
}
