package osmerin.formats.text;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import osmerin.formats.text.UnreadableFileException.Fault;

/** What parts the fields of a row. */
public enum Delimiter {
  COMMA(',', "comma"),
  SEMICOLON(';', "semicolon"),
  TAB('\t', "tab"),
  PIPE('|', "vertical bar");

  private static final int ROWS_LOOKED_AT = 50;

  private final char sign;
  private final String label;

  Delimiter(char sign, String label) {
    this.sign = sign;
    this.label = label;
  }

  /** The name people see. */
  public String label() {
    return label;
  }

  public char sign() {
    return sign;
  }

  /**
   * The delimiter that parts the first rows into the same number of fields most often, and into
   * more fields at a tie. A file of one column is read with commas.
   */
  public static Delimiter guess(String text) {
    Delimiter best = COMMA;
    double bestScore = 0;
    for (Delimiter delimiter : values()) {
      double score = delimiter.score(head(text));
      if (score > bestScore) {
        best = delimiter;
        bestScore = score;
      }
    }
    return best;
  }

  private static String head(String text) {
    int end = 0;
    for (int line = 0; line < 2 * ROWS_LOOKED_AT && end >= 0; line++) {
      end = text.indexOf('\n', end + 1);
    }
    return end < 0 ? text : text.substring(0, end + 1);
  }

  /** Share of rows with the commonest number of fields (two or more), times a little for more. */
  private double score(String head) {
    List<Integer> widths = new ArrayList<>();
    try (CsvReader<CsvRecord> rows = reader(head)) {
      rows.stream().limit(ROWS_LOOKED_AT).forEach(row -> widths.add(row.getFieldCount()));
    } catch (CsvParseException e) {
      // The cut may fall into a quoted field; the rows before it still count.
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    int common = widths.stream().filter(w -> w > 1).reduce(0, (a, b) -> commoner(widths, a, b));
    long same = widths.stream().filter(w -> w == common).count();
    return common < 2 ? 0 : (double) same / widths.size() * (1 + Math.log(common) / 10);
  }

  private static int commoner(List<Integer> widths, int a, int b) {
    long as = widths.stream().filter(w -> w == a).count();
    long bs = widths.stream().filter(w -> w == b).count();
    return as > bs || (as == bs && a >= b) ? a : b;
  }

  /** A row of a file; {@code line} is where it begins, 1-based. */
  public record Row(long line, List<String> fields) {
    /** The field, empty when the row is shorter. */
    public String field(int column) {
      return column < fields.size() ? fields.get(column) : "";
    }
  }

  /**
   * All rows; empty lines are left out.
   *
   * @throws UnreadableFileException when a quoted field never ends or is broken, with its line
   */
  public List<Row> rows(String text) {
    return rows(text, Long.MAX_VALUE);
  }

  /** The first so many rows. */
  public List<Row> rows(String text, long limit) {
    try (CsvReader<CsvRecord> reader = reader(text);
        Stream<CsvRecord> records = reader.stream()) {
      return records
          .limit(limit)
          .map(record -> new Row(record.getStartingLineNumber(), record.getFields()))
          .toList();
    } catch (CsvParseException e) {
      throw new UnreadableFileException(
          Fault.BROKEN, "The file breaks off: " + e.getMessage() + ". Check its quotation marks.");
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private CsvReader<CsvRecord> reader(String text) {
    return CsvReader.builder()
        .fieldSeparator(sign)
        .skipEmptyLines(true)
        .maxBufferSize(64 * 1024 * 1024)
        .ofCsvRecord(text);
  }
}
