package osmerin.formats.table;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.Reader;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/** What separates the fields of a row. */
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
   * The delimiter under which the first rows look most like a table ({@link TableLook}). A file of
   * one column is read with commas, or with the first sign that is not in it.
   */
  public static Delimiter guess(String text) {
    String head = head(text);
    Delimiter best =
        Stream.of(values()).filter(d -> head.indexOf(d.sign) < 0).findFirst().orElse(COMMA);
    double most = 0;
    for (Delimiter delimiter : values()) {
      double look = new TableLook(delimiter.first(head)).score();
      if (look > most) {
        best = delimiter;
        most = look;
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

  private List<List<String>> first(String head) {
    List<List<String>> first = new ArrayList<>();
    try (CsvReader<CsvRecord> rows = options().ofCsvRecord(head)) {
      rows.stream().limit(ROWS_LOOKED_AT).forEach(row -> first.add(row.getFields()));
    } catch (CsvParseException e) {
      // The cut may fall into a quoted field; the rows before it still count.
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    return first;
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
