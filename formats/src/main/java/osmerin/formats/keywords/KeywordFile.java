package osmerin.formats.keywords;

import java.nio.charset.Charset;
import java.util.List;
import java.util.stream.IntStream;
import osmerin.formats.text.DecodedText;
import osmerin.formats.text.Delimiter;
import osmerin.formats.text.Delimiter.Row;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/**
 * A file of keyword research, from any tool. First {@link #guess} how to read it, then {@link
 * #preview} what would be read, then {@link #read}.
 */
public final class KeywordFile {
  private static final int ROWS_TO_GUESS_FROM = 200;

  private final byte[] bytes;

  public KeywordFile(byte[] bytes) {
    this.bytes = bytes.clone();
  }

  /**
   * How the file seems to be written.
   *
   * @throws UnreadableFileException when it is empty, no text, or breaks off
   */
  public FileReading guess() {
    DecodedText text = DecodedText.of(bytes);
    return guess(text.charset(), Delimiter.guess(text.text()));
  }

  /** The columns as they seem to be in a given encoding and with a given delimiter. */
  public FileReading guess(Charset charset, Delimiter delimiter) {
    List<Row> rows = rows(charset, delimiter, ROWS_TO_GUESS_FROM);
    boolean header = ColumnGuess.hasHeader(rows.get(0));
    List<Column> columns =
        header ? ColumnGuess.fromHeader(rows.get(0)) : ColumnGuess.fromContent(rows);
    return new FileReading(charset, delimiter, header, columns);
  }

  /**
   * The names of the columns and the first rows as they stand in the file.
   *
   * @param names from the header, or "Column 1" …; the file's number of columns in all
   */
  public record Preview(List<String> names, List<List<String>> rows) {}

  /** The first rows under a reading. */
  public Preview preview(FileReading reading, int limit) {
    List<Row> rows = rows(reading.charset(), reading.delimiter(), limit + 1L);
    int width = rows.stream().mapToInt(row -> row.fields().size()).max().orElse(0);
    List<String> names =
        IntStream.range(0, width)
            .mapToObj(i -> reading.header() ? rows.get(0).field(i) : "Column " + (i + 1))
            .toList();
    List<List<String>> shown =
        rows.stream()
            .skip(reading.header() ? 1 : 0)
            .limit(limit)
            .map(row -> IntStream.range(0, width).mapToObj(row::field).toList())
            .toList();
    return new Preview(names, shown);
  }

  /**
   * Reads all rows. A row that cannot be read is reported and the others are read all the same.
   *
   * @throws UnreadableFileException when the reading has no keyword column, or the file breaks off
   */
  public KeywordRows read(FileReading reading) {
    requireKeywords(reading);
    List<Row> rows = rows(reading.charset(), reading.delimiter(), Long.MAX_VALUE);
    return new RowReader(reading, reading.header() ? rows.subList(1, rows.size()) : rows).read();
  }

  /**
   * @throws UnreadableFileException when the reading has no keyword column
   */
  public void requireKeywords(FileReading reading) {
    if (!reading.has(Column.KEYWORD)) {
      throw new UnreadableFileException(
          Fault.NO_KEYWORD_COLUMN,
          "No column holds keywords. "
              + (reading.header()
                  ? "The header reads: " + String.join(", ", preview(reading, 1).names()) + "."
                  : "The file has no header."));
    }
  }

  /** Reads with the guessed reading. */
  public KeywordRows read() {
    return read(guess());
  }

  private List<Row> rows(Charset charset, Delimiter delimiter, long limit) {
    List<Row> rows = delimiter.rows(DecodedText.of(bytes, charset).text(), limit);
    if (rows.isEmpty()) {
      throw new UnreadableFileException(Fault.EMPTY, "The file has no rows.");
    }
    return rows;
  }
}
