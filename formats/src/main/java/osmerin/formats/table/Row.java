package osmerin.formats.table;

import java.util.List;

/**
 * A row of a table.
 *
 * @param line where it begins in the file, or its number in the sheet, 1-based
 */
public record Row(long line, List<String> fields) {
  /** The field, empty when the row is shorter. */
  public String field(int column) {
    return column < fields.size() ? fields.get(column) : "";
  }

  /** Whether nothing stands in it. */
  boolean isEmpty() {
    return fields.stream().allMatch(String::isBlank);
  }
}
