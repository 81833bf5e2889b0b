package osmerin.formats.keywords;

import java.util.List;
import java.util.stream.IntStream;
import osmerin.formats.table.Source;

/**
 * How a keyword file is read: guessed first, then corrected by a person.
 *
 * @param headerRow which of the rows names the columns, 1-based; those before it are titles and are
 *     not read; 0 when none does
 * @param columns what each column holds, from the left
 */
public record FileReading(Source source, int headerRow, List<Column> columns) {
  public FileReading {
    if (headerRow < 0) {
      throw new IllegalArgumentException("header row " + headerRow + " is below 0");
    }
    columns = List.copyOf(columns);
  }

  /** Whether a row names the columns. */
  public boolean header() {
    return headerRow > 0;
  }

  /** Place of the first such column, 0-based; -1 when the file has none. */
  public int place(Column column) {
    return columns.indexOf(column);
  }

  /** Places of all such columns, from the left. */
  int[] places(Column column) {
    return IntStream.range(0, columns.size()).filter(i -> columns.get(i) == column).toArray();
  }

  public boolean has(Column column) {
    return columns.contains(column);
  }

  /** Whether each row holds one ranking page, so that a keyword has as many rows as pages. */
  boolean isLong() {
    return has(Column.POSITION) && places(Column.RANKING_PAGES).length == 1;
  }
}
