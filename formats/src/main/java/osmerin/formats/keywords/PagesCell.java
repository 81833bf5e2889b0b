package osmerin.formats.keywords;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.StringTokenizer;
import java.util.regex.Pattern;

/**
 * Ranking pages in one cell, parted by spaces, line breaks, vertical bars, commas or semicolons. A
 * comma or semicolon inside an address parts nothing: only one before something that begins like an
 * address does.
 */
final class PagesCell {
  private static final Pattern BETWEEN =
      Pattern.compile(
          "[\\s|]+|[,;]+(?=\\s|$|(?:https?:)?//|(?:[\\p{L}\\p{N}-]+\\.)+\\p{L}{2,}(?:[/:?#,;\\s|]|$))");

  private PagesCell() {}

  /** The common case, without a pattern. */
  private static List<String> spaced(String cell) {
    List<String> pieces = new ArrayList<>();
    StringTokenizer tokens = new StringTokenizer(cell, " |\t\n\r\f\u000B");
    while (tokens.hasMoreTokens()) {
      pieces.add(tokens.nextToken());
    }
    return pieces;
  }

  static List<String> pieces(String cell) {
    if (cell.indexOf(',') < 0 && cell.indexOf(';') < 0) {
      return spaced(cell);
    }
    return Arrays.stream(BETWEEN.split(cell)).filter(piece -> !piece.isBlank()).toList();
  }
}
