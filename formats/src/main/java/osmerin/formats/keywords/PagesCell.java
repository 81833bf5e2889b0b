package osmerin.formats.keywords;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Ranking pages in one cell, separated by spaces, line breaks, vertical bars, commas or semicolons.
 * A comma or semicolon inside an address parts nothing: only one before something that begins like
 * an address does.
 */
final class PagesCell {
  private static final Pattern BETWEEN =
      Pattern.compile(
          "[\\s|]+|[,;]+(?=\\s|$|(?:https?:)?//|(?:[\\p{L}\\p{N}-]+\\.)+\\p{L}{2,}(?:[/:?#,;\\s|]|$))");

  private PagesCell() {}

  /** The common case, without a pattern. */
  private static List<String> spaced(String cell) {
    List<String> pieces = new ArrayList<>();
    int begun = 0;
    for (int i = 0; i <= cell.length(); i++) {
      if (i == cell.length() || isBetween(cell.charAt(i))) {
        if (i > begun) {
          pieces.add(cell.substring(begun, i));
        }
        begun = i + 1;
      }
    }
    return pieces;
  }

  private static boolean isBetween(char sign) {
    return sign == ' ' || sign == '|' || (sign >= '\t' && sign <= '\r');
  }

  static List<String> pieces(String cell) {
    if (cell.indexOf(',') < 0 && cell.indexOf(';') < 0) {
      return spaced(cell);
    }
    return Arrays.stream(BETWEEN.split(cell)).filter(piece -> !piece.isBlank()).toList();
  }
}
