package osmerin.formats.keywords;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import osmerin.formats.table.Row;
import osmerin.formats.table.Source;
import osmerin.formats.table.TableFile;
import osmerin.formats.text.Markup;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/**
 * A file of keyword research, from any tool: delimited text or a spreadsheet. First {@link #guess}
 * how to read it, then {@link #preview} what would be read, then {@link #read}.
 */
public final class KeywordFile {
  private static final int ROWS_TO_GUESS_FROM = 200;

  /** The header is one of so many first rows. */
  static final int ROWS_WITH_HEADER = 20;

  private final byte[] bytes;
  private final TableFile table;

  /**
   * A file in memory.
   *
   * @param bytes are kept, not copied
   */
  public KeywordFile(byte[] bytes) {
    this.bytes = bytes;
    table = new TableFile(bytes);
  }

  /** The names of the sheets to choose from; none when it is text. */
  public List<String> sheets() {
    return table.sheets();
  }

  /**
   * How the file seems to be written.
   *
   * @throws UnreadableFileException when it is empty, no table, or breaks off
   */
  public FileReading guess() {
    Markup.of(bytes).ifPresent(KeywordFile::refuse);
    return guess(table.guess());
  }

  private static void refuse(Markup markup) {
    String pages = "it lists pages, not keywords. Import it as live pages, under Live.";
    String what =
        switch (markup) {
          case SITEMAP -> "This is a sitemap: " + pages;
          case FEED -> "This is a feed: " + pages;
          case WEB_PAGE -> "This is a web page, not a table of keywords.";
          case OTHER -> "This looks like XML, not a table of keywords.";
        };
    throw new UnreadableFileException(Fault.NO_TABLE, what);
  }

  /** The columns as they seem to be in a given place or encoding. */
  public FileReading guess(Source source) {
    return new ColumnGuess(rows(source, ROWS_TO_GUESS_FROM)).reading(source);
  }

  /** The fields of the first rows, one of which may be a header. */
  public List<List<String>> first(Source source) {
    return rows(source, ROWS_WITH_HEADER).stream().map(Row::fields).toList();
  }

  /** The columns as they seem to be under a given header. */
  public FileReading guess(Source source, int headerRow) {
    return new ColumnGuess(rows(source, ROWS_TO_GUESS_FROM)).reading(source, headerRow);
  }

  /**
   * The names of the columns and the first rows as they stand in the file.
   *
   * @param names from the header, or "Column 1" …; the file's number of columns in all
   */
  public record Preview(List<String> names, List<List<String>> rows) {}

  /** The first rows under a reading. */
  public Preview preview(FileReading reading, int limit) {
    List<Row> rows = rows(reading.source(), reading.headerRow() + (long) limit);
    List<Row> below = rows.subList(Math.min(reading.headerRow(), rows.size()), rows.size());
    int width =
        rows.stream()
            .skip(Math.max(0, reading.headerRow() - 1))
            .mapToInt(row -> row.fields().size())
            .max()
            .orElse(0);
    boolean named = reading.header() && reading.headerRow() <= rows.size();
    List<String> names =
        IntStream.range(0, width)
            .mapToObj(i -> named ? rows.get(reading.headerRow() - 1).field(i) : "Column " + (i + 1))
            .toList();
    List<List<String>> shown =
        below.stream().map(row -> IntStream.range(0, width).mapToObj(row::field).toList()).toList();
    return new Preview(names, shown);
  }

  /**
   * Reads all rows. A row that cannot be read is reported and the others are still read.
   *
   * @throws UnreadableFileException when the reading has no keyword column, or the file breaks off
   */
  public KeywordRows read(FileReading reading) {
    return survey(reading).read(rows -> {});
  }

  /**
   * Goes through the whole file once, before it is read: how many rows there are, and how their
   * numbers are written.
   *
   * @throws UnreadableFileException when the reading has no keyword column, or the file breaks off
   */
  public Survey survey(FileReading reading) {
    requireKeywords(reading);
    AtomicInteger rows = new AtomicInteger();
    NumberColumns numbers =
        table.read(
            reading.source(),
            all ->
                NumberColumns.of(
                    reading, all.skip(reading.headerRow()).peek(row -> rows.incrementAndGet())));
    return new Survey(reading, rows.get(), numbers);
  }

  /** A file that was gone through once and can now be read. */
  public final class Survey {
    private final FileReading reading;
    private final int rows;
    private final NumberColumns numbers;

    private Survey(FileReading reading, int rows, NumberColumns numbers) {
      this.reading = reading;
      this.rows = rows;
      this.numbers = numbers;
    }

    /** Rows below the header. */
    public int rows() {
      return rows;
    }

    /**
     * Reads all rows. A row that cannot be read is reported and the others are still read.
     *
     * @param progress is told from time to time how many rows are read
     */
    public KeywordRows read(Progress progress) {
      return table.read(
          reading.source(),
          all -> new RowReader(reading, numbers, progress).read(all.skip(reading.headerRow())));
    }
  }

  /** Told how far reading is. */
  public interface Progress {
    void rows(int read);
  }

  /**
   * Reads with the guessed reading.
   *
   * @throws UnreadableFileException when no column looks like keywords, or the file breaks off
   */
  public KeywordRows read() {
    return read(guess());
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

  private List<Row> rows(Source source, long limit) {
    List<Row> rows = table.read(source, all -> all.limit(limit).toList());
    if (rows.isEmpty()) {
      throw new UnreadableFileException(Fault.EMPTY, "The file has no rows.");
    }
    return rows;
  }
}
