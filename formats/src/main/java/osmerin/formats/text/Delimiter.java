package osmerin.formats.text;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.Reader;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import osmerin.formats.table.Row;
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
    try (CsvReader<CsvRecord> rows = options().ofCsvRecord(head)) {
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

  /**
   * Hands all rows to a reader, one by one; empty lines are left out.
   *
   * @throws UnreadableFileException when a quoted field never ends or is broken, with its line
   */
  public <T> T read(Reader text, Function<Stream<Row>, T> reader) {
    try (CsvReader<CsvRecord> csv = options().ofCsvRecord(text);
        Stream<CsvRecord> records = csv.stream()) {
      return reader.apply(
          records.map(record -> new Row(record.getStartingLineNumber(), record.getFields())));
    } catch (CsvParseException e) {
      throw new UnreadableFileException(
          Fault.BROKEN, "The file breaks off: " + e.getMessage() + ". Check its quotation marks.");
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private CsvReader.CsvReaderBuilder options() {
    return CsvReader.builder()
        .fieldSeparator(sign)
        .skipEmptyLines(true)
        .allowMissingFields(true)
        .allowExtraFields(true)
        .maxBufferSize(64 * 1024 * 1024);
  }
}
