package osmerin.core.keyword;

import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number as research tools write it into a cell. Understood are "1,300", "1 300", "1.300" (by the
 * column's {@link NumberPattern}), "1.3K", "2M", "1K–10K" (geometric mean), "&lt; 10" (half),
 * "100+", "9/100", "45 %", "€ 0.75"; "-", "n/a" and an empty cell are unknown, which is not zero.
 */
public sealed interface Figure {
  /** A number of 0 or more; {@code low} and {@code high} differ when the cell holds a range. */
  record Known(double value, double low, double high) implements Figure {}

  /** The tool does not know. */
  record Unknown() implements Figure {}

  /** Not a number; {@code reason} says why, as the end of a sentence. */
  record Unreadable(String reason) implements Figure {}

  /** Cells with which tools say that they have no figure, without points, spaces and slashes. */
  Set<String> NO_FIGURE =
      Set.of(
          "",
          "-",
          "--",
          "–",
          "—",
          "na",
          "#na",
          "none",
          "null",
          "nan",
          "?",
          "unknown",
          "nodata",
          "notavailable",
          "ka",
          "nv",
          "keineangabe",
          "unbekannt",
          "nd",
          "nc",
          "inconnu",
          "sd",
          "sindatos",
          "desconocido",
          "ndisp",
          "semdados",
          "desconhecido",
          "sconosciuto",
          "nvt",
          "nb",
          "onbekend");

  /** Nobody writes a number in more characters. */
  int LONGEST = 100;

  Pattern NOT_SAID = Pattern.compile("[\\s\\p{Z}./]+");

  Pattern RANGE =
      Pattern.compile(
          "(.*\\d[^\\d]*?)\\s*(?:-|–|—|\\bto\\b|\\bbis\\b|\\btot\\b|\\baté\\b|\\bà\\b|\\ba\\b)\\s*([^\\d]*\\d.*)");
  Pattern NUMBER = Pattern.compile("(\\d[\\d.,]*)([km]?)");
  Pattern OF_HUNDRED = Pattern.compile("^\\d[\\d.,]{0,9}\\s?/\\s?100$");
  Pattern SPACES_AND_MARKS = Pattern.compile("[\\s\\p{Z}'’_]+");
  Pattern MONEY =
      Pattern.compile("^\\p{L}{0,3}\\p{Sc}|\\p{Sc}$|^(usd|eur|gbp|chf)|(usd|eur|gbp|chf)$|%$");

  /** Reads one cell. */
  static Figure read(String cell, NumberPattern pattern) {
    if (isPlain(cell)) {
      double value = Integer.parseInt(cell);
      return new Known(value, value, value);
    }
    String text = cell.strip().toLowerCase(Locale.ROOT);
    if (saysNothing(text)) {
      return new Unknown();
    }
    if (text.length() > LONGEST || !hasDigit(text)) {
      return new Unreadable("is not a number");
    }
    if (text.startsWith("<")) {
      return below(single(text.substring(1), pattern));
    }
    if (OF_HUNDRED.matcher(text).find()) {
      return single(text.substring(0, text.indexOf('/')).strip(), pattern);
    }
    Matcher range = RANGE.matcher(text);
    if (range.matches()) {
      return between(single(range.group(1), pattern), single(range.group(2), pattern));
    }
    String open = text.startsWith(">") ? text.substring(1) : text;
    return single(open.endsWith("+") ? open.substring(0, open.length() - 1) : open, pattern);
  }

  private static boolean hasDigit(String text) {
    for (int i = 0; i < text.length(); i++) {
      if (text.charAt(i) >= '0' && text.charAt(i) <= '9') {
        return true;
      }
    }
    return false;
  }

  /** Most figures are whole numbers without any sign. */
  private static boolean isPlain(String cell) {
    for (int i = 0; i < cell.length(); i++) {
      if (cell.charAt(i) < '0' || cell.charAt(i) > '9') {
        return false;
      }
    }
    return !cell.isEmpty() && cell.length() < 10;
  }

  /** Whether a cell says that there is no figure: "–", "n/a", "k. A." and the like. */
  static boolean saysNothing(String cell) {
    return cell.length() < 20
        && (cell.isEmpty() || cell.charAt(0) < '0' || cell.charAt(0) > '9')
        && NO_FIGURE.contains(NOT_SAID.matcher(cell.toLowerCase(Locale.ROOT)).replaceAll(""));
  }

  private static Figure below(Figure bound) {
    return bound instanceof Known k ? new Known(k.value() / 2, 0, k.value()) : bound;
  }

  private static Figure between(Figure low, Figure high) {
    if (!(low instanceof Known l)) {
      return low;
    }
    if (!(high instanceof Known h)) {
      return high;
    }
    if (l.value() > h.value()) {
      return new Unreadable("is a range that ends below its start");
    }
    // A range that begins at nothing has no geometric mean; half its end stands for it.
    double mean = l.value() == 0 ? h.value() / 2 : Math.sqrt(l.value() * h.value());
    return new Known(mean, l.value(), h.value());
  }

  private static Figure single(String text, NumberPattern pattern) {
    String bare = SPACES_AND_MARKS.matcher(text).replaceAll("");
    bare = MONEY.matcher(bare).replaceAll("");
    if (bare.startsWith("-") && NUMBER.matcher(bare.substring(1)).matches()) {
      return new Unreadable("is below zero");
    }
    Matcher number = NUMBER.matcher(bare);
    if (!number.matches()) {
      return new Unreadable("is not a number");
    }
    String digits = plain(number.group(1), !number.group(2).isEmpty(), pattern);
    try {
      double value = Double.parseDouble(digits) * factor(number.group(2));
      return new Known(value, value, value);
    } catch (NumberFormatException e) {
      return new Unreadable("is not a number");
    }
  }

  private static double factor(String suffix) {
    return switch (suffix) {
      case "k" -> 1_000;
      case "m" -> 1_000_000;
      default -> 1;
    };
  }

  /** Rewrites to digits with at most one point. Before K or M a lone sign parts decimals. */
  private static String plain(String digits, boolean suffixed, NumberPattern pattern) {
    if (suffixed && digits.matches("\\d+[.,]\\d{1,2}")) {
      return digits.replace(',', '.');
    }
    if (pattern == NumberPattern.UNDECIDED && digits.matches("\\d+,\\d{1,2}|0,\\d+")) {
      return digits.replace(',', '.');
    }
    return digits.replace(String.valueOf(pattern.thousands()), "").replace(pattern.decimal(), '.');
  }
}
