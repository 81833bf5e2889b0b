package osmerin.core.keyword;

import java.util.Collection;
import java.util.List;
import java.util.regex.Pattern;

/**
 * How a column of a file writes numbers: which sign parts the thousands and which the decimals. One
 * cell alone cannot tell ("1.300"), the column often can, and else the file's other columns.
 */
public enum NumberPattern {
  /** 1,300.5 */
  DECIMAL_POINT,
  /** 1.300,5 */
  DECIMAL_COMMA,
  /** Nothing in the cells decides. */
  UNDECIDED;

  private static final Pattern POINT_DECIDES =
      Pattern.compile("\\d{1,3}(,\\d{3})+\\.\\d+|\\d{1,3}(,\\d{3}){2,}|\\d+\\.(\\d{1,2}|\\d{4,})");
  private static final Pattern COMMA_DECIDES =
      Pattern.compile("\\d{1,3}(\\.\\d{3})+,\\d+|\\d{1,3}(\\.\\d{3}){2,}|\\d+,(\\d{1,2}|\\d{4,})");
  private static final Pattern GROUPED_BY_POINT = Pattern.compile("[1-9]\\d{0,2}(\\.\\d{3})+");
  private static final Pattern GROUPED_BY_COMMA = Pattern.compile("[1-9]\\d{0,2}(,\\d{3})+");
  private static final Pattern NUMBER = Pattern.compile("\\d[\\d.,]*");

  /** What the cells of one column show; the majority decides where they disagree. */
  public static NumberPattern of(Collection<String> cells) {
    int point = 0;
    int comma = 0;
    for (String cell : cells) {
      if (!hasSign(cell)) {
        continue;
      }
      var numbers = NUMBER.matcher(cell);
      while (numbers.find()) {
        point += POINT_DECIDES.matcher(numbers.group()).matches() ? 1 : 0;
        comma += COMMA_DECIDES.matcher(numbers.group()).matches() ? 1 : 0;
      }
    }
    return point == comma ? UNDECIDED : point > comma ? DECIMAL_POINT : DECIMAL_COMMA;
  }

  /**
   * The pattern of a column of whole numbers: "1.300" in it is one thousand three hundred, unless
   * the column itself has decimals.
   */
  public static NumberPattern ofWholeNumbers(Collection<String> cells, NumberPattern elsewhere) {
    NumberPattern own = of(cells);
    if (own != UNDECIDED) {
      return own;
    }
    List<String> grouped = cells.stream().filter(NumberPattern::hasSign).toList();
    boolean byPoint = grouped.stream().anyMatch(cell -> GROUPED_BY_POINT.matcher(cell).matches());
    boolean byComma = grouped.stream().anyMatch(cell -> GROUPED_BY_COMMA.matcher(cell).matches());
    if (byPoint != byComma) {
      return byPoint ? DECIMAL_COMMA : DECIMAL_POINT;
    }
    return elsewhere;
  }

  /** Most cells hold digits alone, which decide nothing. */
  private static boolean hasSign(String cell) {
    return cell.indexOf('.') >= 0 || cell.indexOf(',') >= 0;
  }

  /** The sign before the decimals. */
  char decimal() {
    return this == DECIMAL_COMMA ? ',' : '.';
  }

  /** The sign between the thousands. */
  char thousands() {
    return this == DECIMAL_COMMA ? '.' : ',';
  }
}
