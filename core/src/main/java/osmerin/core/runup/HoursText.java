package osmerin.core.runup;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Hours of work as people type them: "1.5", "1,5 h", "2 hours", "90 min". */
public final class HoursText {
  /** What to tell who typed something else. */
  public static final String HINT = "Hours are a number such as 1.5, or 90 min.";

  private static final double MOST = 1_000;
  private static final Pattern TYPED =
      Pattern.compile("(\\d{1,4}(?:[.,]\\d{1,2})?)\\s*(h|hours?|min|minutes?)?");

  private HoursText() {}

  /** The hours, 0 to 1,000, to a hundredth; empty when what was typed is none. */
  public static OptionalDouble read(String typed) {
    Matcher matcher = TYPED.matcher(typed.strip().toLowerCase(Locale.ROOT));
    if (!matcher.matches()) {
      return OptionalDouble.empty();
    }
    double number = Double.parseDouble(matcher.group(1).replace(',', '.'));
    String unit = matcher.group(2);
    double hours = unit != null && unit.startsWith("m") ? number / 60 : number;
    return hours > MOST
        ? OptionalDouble.empty()
        : OptionalDouble.of(Math.round(hours * 100) / 100.0);
  }

  /** Whether hours with their unit were typed, so that nothing else can be meant. */
  static boolean hasUnit(String typed) {
    Matcher matcher = TYPED.matcher(typed);
    return matcher.matches() && matcher.group(2) != null;
  }

  /** "1.25", "2". */
  public static String of(double hours) {
    return String.format(Locale.ROOT, "%.2f", hours).replaceFirst("\\.?0+$", "");
  }
}
