package osmerin.formats.markdown;

/**
 * How many cells the tables of a text could become. A row is filled up to the width of its table,
 * so that few characters can make millions of cells.
 */
final class TableCells {
  private TableCells() {}

  /**
   * An upper bound, counted without parsing: each line that could be the rule below a table's head,
   * times the lines up to the next empty one.
   */
  static long most(String markdown) {
    long cells = 0;
    long columns = 0;
    for (int from = 0; from < markdown.length(); ) {
      int newline = markdown.indexOf('\n', from);
      int end = newline < 0 ? markdown.length() : newline;
      if (isEmpty(markdown, from, end)) {
        columns = 0;
      } else {
        columns = Math.max(columns, columns(markdown, from, end));
        cells += columns;
      }
      from = end + 1;
    }
    return cells;
  }

  /** Signs of quotations alone make no line either. */
  private static boolean isEmpty(String text, int from, int end) {
    for (int i = from; i < end; i++) {
      if (!Character.isWhitespace(text.charAt(i)) && text.charAt(i) != '>') {
        return false;
      }
    }
    return true;
  }

  /** Of a line of bars, dashes and colons, in a list or quotation perhaps; 0 for any other. */
  private static long columns(String text, int from, int end) {
    long bars = 0;
    boolean dashes = false;
    for (int i = from; i < end; i++) {
      char sign = text.charAt(i);
      if ("|-: \t\r>*+.)0123456789".indexOf(sign) < 0) {
        return 0;
      }
      bars += sign == '|' ? 1 : 0;
      dashes |= sign == '-';
    }
    return dashes && bars > 0 ? bars + 1 : 0;
  }
}
