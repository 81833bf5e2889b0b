package osmerin.formats.table;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Sheet;
import osmerin.formats.limits.Limits;
import osmerin.formats.text.DecodedText;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/** A file that holds a table. Rows are handed on one by one, so that large files need little. */
public final class TableFile {
  private static final int MOST_ZEROS = 40;
  private static final int DIRECTORY_LOOKED_AT = 200_000;

  private final byte[] bytes;
  private final boolean spreadsheet;
  private boolean lookedOver;

  /**
   * Looks at a file.
   *
   * @param bytes are kept, not copied
   */
  public TableFile(byte[] bytes) {
    this.bytes = bytes;
    this.spreadsheet = isWorkbook(bytes);
  }

  /** The names of the sheets; none when it is text. */
  public List<String> sheets() {
    return spreadsheet
        ? workbook(book -> book.getSheets().map(Sheet::getName).toList())
        : List.of();
  }

  /**
   * Where the table seems to be: the first sheet with rows, or the text as it seems to be written.
   *
   * @throws UnreadableFileException when the file is empty, or neither text nor a spreadsheet
   */
  public Source guess() {
    if (spreadsheet) {
      return workbook(TableFile::firstWithRows);
    }
    DecodedText text = DecodedText.of(bytes);
    return new Source.Delimited(text.charset(), Delimiter.guess(text.text()));
  }

  private static Source firstWithRows(ReadableWorkbook book) {
    return book.getSheets()
        .filter(sheet -> rows(sheet, rows -> rows.findAny().isPresent()))
        .findFirst()
        .map(sheet -> new Source.Sheet(sheet.getName()))
        .orElseThrow(
            () -> new UnreadableFileException(Fault.EMPTY, "The spreadsheet has no rows."));
  }

  /**
   * Hands all rows that hold something to a reader, in order.
   *
   * @throws UnreadableFileException when the file breaks off, with the line, or has no such sheet
   */
  public <T> T read(Source source, Function<Stream<Row>, T> reader) {
    if (source instanceof Source.Delimited text) {
      return text.delimiter()
          .read(DecodedText.reader(bytes, text.charset()), rows -> reader.apply(full(rows)));
    }
    String name = ((Source.Sheet) source).name();
    return workbook(
        book ->
            rows(
                book.findSheet(name)
                    .orElseThrow(
                        () ->
                            new UnreadableFileException(
                                Fault.EMPTY, "The spreadsheet has no sheet “" + name + "”.")),
                reader));
  }

  private static Stream<Row> full(Stream<Row> rows) {
    return rows.filter(row -> !row.isEmpty()).peek(TableFile::requireWithinLimits);
  }

  private static void requireWithinLimits(Row row) {
    if (row.line() > Limits.ROWS) {
      throw Limits.exceeded("The table has more than 2,000,000 rows. Split it.");
    }
    List<String> cells = row.fields();
    if (cells.size() > Limits.COLUMNS
        && cells.subList(Limits.COLUMNS, cells.size()).stream().anyMatch(c -> !c.isBlank())) {
      throw Limits.exceeded("Row %s has more than 500 columns.".formatted(row.line()));
    }
    for (int i = 0; i < cells.size(); i++) {
      if (cells.get(i).length() > Limits.CELL) {
        throw Limits.exceeded(
            "Column %s of row %s contains more than 100,000 characters."
                .formatted(i + 1, row.line()));
      }
    }
  }

  private static <T> T rows(Sheet sheet, Function<Stream<Row>, T> reader) {
    try (Stream<org.dhatim.fastexcel.reader.Row> rows = sheet.openStream()) {
      return reader.apply(full(rows.map(TableFile::row)));
    } catch (IOException e) {
      throw broken(e);
    }
  }

  private static Row row(org.dhatim.fastexcel.reader.Row row) {
    return new Row(row.getRowNum(), row.stream().map(TableFile::text).toList());
  }

  private static String text(@org.jspecify.annotations.Nullable Cell cell) {
    if (cell == null || cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR) {
      return "";
    }
    return cell.getType() == CellType.NUMBER ? plain(cell.asNumber()) : cell.getText();
  }

  /** Without an exponent, unless that would fill pages with zeros. */
  private static String plain(BigDecimal number) {
    BigDecimal shortest = number.stripTrailingZeros();
    return Math.abs((long) shortest.scale()) > MOST_ZEROS
        ? shortest.toString()
        : shortest.toPlainString();
  }

  private <T> T workbook(Function<ReadableWorkbook, T> reader) {
    try {
      lookOver();
      try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes))) {
        return reader.apply(book);
      }
    } catch (UnreadableFileException e) {
      throw e;
    } catch (IOException
        | ExcelReaderException
        | IndexOutOfBoundsException
        | IllegalArgumentException e) {
      throw broken(e);
    }
  }

  private void lookOver() throws IOException {
    if (!lookedOver) {
      WorkbookGuard.check(bytes);
      lookedOver = true;
    }
  }

  private static UnreadableFileException broken(Exception e) {
    return new UnreadableFileException(
        Fault.BROKEN, "The spreadsheet cannot be read (" + e.getMessage() + "). Save it again.");
  }

  /** A ZIP archive in whose directory, at the end, the workbook's own part is named. */
  public static boolean isWorkbook(byte[] bytes) {
    if (bytes.length < 4 || bytes[0] != 'P' || bytes[1] != 'K' || bytes[2] != 3) {
      return false;
    }
    int from = Math.max(0, bytes.length - DIRECTORY_LOOKED_AT);
    return new String(bytes, from, bytes.length - from, StandardCharsets.ISO_8859_1)
        .contains("xl/workbook.xml");
  }
}
