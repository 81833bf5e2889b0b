package osmerin.formats.keywords;

import java.nio.charset.Charset;
import java.util.List;
import osmerin.formats.text.Delimiter;

/**
 * How a keyword file is read: guessed first, then corrected by a person.
 *
 * @param header whether the first row names the columns
 * @param columns what each column holds, from the left
 */
public record FileReading(
    Charset charset, Delimiter delimiter, boolean header, List<Column> columns) {
  public FileReading {
    columns = List.copyOf(columns);
  }

  /** Place of the column, 0-based; -1 when the file has none. */
  public int place(Column column) {
    return columns.indexOf(column);
  }

  public boolean has(Column column) {
    return columns.contains(column);
  }
}
