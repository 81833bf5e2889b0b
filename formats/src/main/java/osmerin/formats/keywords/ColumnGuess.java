package osmerin.formats.keywords;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import osmerin.core.keyword.Figure;
import osmerin.core.keyword.NumberPattern;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.table.Row;
import osmerin.formats.table.Source;

/**
 * Guesses from the first rows which of them is the header and which column is which: by the
 * header's words, by what stands below, or both.
 */
final class ColumnGuess {
  /** Titles above the header are looked for in so many rows. */
  private static final int ROWS_WITH_TITLES = 10;

  /** A page beyond this place is on no list. */
  private static final int LAST_POSITION = 100;

  private final List<Row> rows;

  /**
   * @param rows the first of the file, at least one
   */
  ColumnGuess(List<Row> rows) {
    this.rows = rows;
  }

  FileReading reading(Source source) {
    return reading(source, headerRow());
  }

  FileReading reading(Source source, int headerRow) {
    List<Row> below = rows.subList(Math.min(headerRow, rows.size()), rows.size());
    List<Column> columns =
        headerRow > 0 && headerRow <= rows.size()
            ? fromHeader(rows.get(headerRow - 1), below)
            : fromContent(below);
    return new FileReading(source, headerRow, columns);
  }

  /** The row that names a keyword column, else the first if it can be a header, else none. */
  private int headerRow() {
    for (int i = 0; i < Math.min(ROWS_WITH_TITLES, rows.size()); i++) {
      if (rows.get(i).fields().stream().anyMatch(f -> HeaderWords.column(f) == Column.KEYWORD)) {
        return i + 1;
      }
    }
    return canBeHeader(rows.get(0)) ? 1 : 0;
  }

  /** Two names of ours, or several names without any figure or address among them. */
  private static boolean canBeHeader(Row row) {
    long known = row.fields().stream().filter(f -> HeaderWords.column(f) != Column.OTHER).count();
    boolean onlyNames = row.fields().stream().noneMatch(f -> isFigure(f) || isPages(f));
    return onlyNames && (known > 0 || row.fields().size() > 1);
  }

  /** One column for each field; none twice but ranking pages and {@link Column#OTHER}. */
  private static List<Column> fromHeader(Row header, List<Row> below) {
    List<Column> columns = new ArrayList<>();
    Set<Column> taken = EnumSet.noneOf(Column.class);
    for (int i = 0; i < header.fields().size(); i++) {
      Column column = HeaderWords.column(header.field(i));
      if (column == Column.RANKING_PAGES) {
        columns.add(areMostlyFigures(cells(below, i)) ? Column.OTHER : column);
      } else {
        columns.add(column != Column.OTHER && taken.add(column) ? column : Column.OTHER);
      }
    }
    return withoutLonePosition(columns);
  }

  /** A position says something only of one ranking page beside it. */
  private static List<Column> withoutLonePosition(List<Column> columns) {
    boolean one = columns.stream().filter(c -> c == Column.RANKING_PAGES).count() == 1;
    if (!one) {
      columns.replaceAll(c -> c == Column.POSITION ? Column.OTHER : c);
    }
    return columns;
  }

  private static boolean areMostlyFigures(List<String> cells) {
    return cells.stream().filter(ColumnGuess::isFigure).count() * 2 > cells.size();
  }

  /** For a file without a header. */
  private static List<Column> fromContent(List<Row> rows) {
    int width = rows.stream().mapToInt(row -> row.fields().size()).max().orElse(0);
    Column[] columns = new Column[width];
    Arrays.fill(columns, Column.OTHER);
    Set<Column> taken = EnumSet.noneOf(Column.class);
    boolean oneForEachPage = hasARowForEachPage(rows, width);
    for (int i = 0; i < width; i++) {
      Column column = byContent(cells(rows, i), taken, oneForEachPage);
      if (column == Column.RANKING_PAGES || (column != Column.OTHER && taken.add(column))) {
        columns[i] = column;
      }
    }
    return List.of(columns);
  }

  /** The phrases repeat, since each has a row for each of its pages. */
  private static boolean hasARowForEachPage(List<Row> rows, int width) {
    for (int i = 0; i < width; i++) {
      List<String> cells = cells(rows, i);
      boolean phrases = cells.stream().noneMatch(c -> isFigure(c) || isPages(c));
      if (phrases && cells.size() > 1) {
        return new HashSet<>(cells).size() * 2 <= cells.size();
      }
    }
    return false;
  }

  private static List<String> cells(List<Row> rows, int place) {
    return rows.stream().map(row -> row.field(place)).filter(cell -> !cell.isBlank()).toList();
  }

  private static Column byContent(List<String> cells, Set<Column> taken, boolean oneForEachPage) {
    if (cells.isEmpty()) {
      return Column.OTHER;
    }
    if (cells.stream().allMatch(ColumnGuess::isPages)) {
      return Column.RANKING_PAGES;
    }
    if (!cells.stream().allMatch(ColumnGuess::isFigure)) {
      boolean intents = cells.stream().allMatch(c -> IntentCell.read(c).isPresent());
      return intents && taken.contains(Column.KEYWORD) ? Column.INTENT : Column.KEYWORD;
    }
    if (oneForEachPage && cells.stream().allMatch(ColumnGuess::isPosition)) {
      return Column.POSITION;
    }
    if (!taken.contains(Column.VOLUME)) {
      return Column.VOLUME;
    }
    boolean decimals = cells.stream().anyMatch(c -> c.matches(".*\\d[.,]\\d{1,2}|\\p{Sc}.*"));
    return decimals || taken.contains(Column.DIFFICULTY)
        ? Column.COST_PER_CLICK
        : Column.DIFFICULTY;
  }

  private static boolean isPosition(String cell) {
    return cell.strip().matches("\\d{1,3}")
        && Integer.parseInt(cell.strip()) <= LAST_POSITION
        && Integer.parseInt(cell.strip()) > 0;
  }

  private static boolean isFigure(String cell) {
    return Figure.read(cell, NumberPattern.UNDECIDED) instanceof Figure.Known;
  }

  private static boolean isPages(String cell) {
    return cell.contains("/")
        && PagesCell.pieces(cell).stream().anyMatch(p -> PageAddress.of(p).isPresent());
  }
}
