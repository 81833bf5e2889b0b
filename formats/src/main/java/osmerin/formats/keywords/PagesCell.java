package osmerin.formats.keywords;

import java.util.Arrays;
import java.util.List;
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

  static List<String> pieces(String cell) {
    return Arrays.stream(BETWEEN.split(cell)).filter(piece -> !piece.isBlank()).toList();
  }
}
