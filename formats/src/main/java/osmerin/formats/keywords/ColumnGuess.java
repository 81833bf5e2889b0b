package osmerin.formats.keywords;

import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.table.Row;
import osmerin.formats.table.Source;

/**
 * Guesses from the first rows which of them is the header and which column is which: by the
 * header's words where the values bear them out, and by the values where it says nothing.
 */
final class ColumnGuess {
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
    boolean named = headerRow > 0 && headerRow <= rows.size();
    List<String> names = named ? rows.get(headerRow - 1).fields() : List.of();
    int width = below.stream().mapToInt(row -> row.fields().size()).max().orElse(0);
    int columns = Math.max(width, names.size());
    return new FileReading(source, headerRow, new Columns(names, below, columns).guessed());
  }

  /** The row that names most columns, a keyword among them; else the first that can; else none. */
  private int headerRow() {
    int most = 0;
    int best = 0;
    int looked = Math.min(KeywordFile.ROWS_WITH_HEADER, rows.size());
    for (int i = 0; i < looked; i++) {
      int named = named(rows.get(i));
      if (named > most && !isTitle(i)) {
        most = named;
        best = i + 1;
      }
    }
    return best > 0 ? best : unnamedHeader();
  }

  /** How many columns a row names; 0 when it has a value, or no keyword is among them. */
  private static int named(Row row) {
    if (row.fields().stream().anyMatch(f -> Cells.isFigure(f) && !isPlace(f))) {
      return 0;
    }
    List<Column> columns = row.fields().stream().map(HeaderWords::column).toList();
    return columns.contains(Column.KEYWORD)
        ? (int) columns.stream().filter(c -> c != Column.OTHER).count()
        : 0;
  }

  /** A bare number names a column of ranking pages. */
  private static boolean isPlace(String field) {
    return HeaderWords.column(field) == Column.RANKING_PAGES;
  }

  /** A row of one cell above rows that are wider for the most part. */
  private boolean isTitle(int at) {
    List<Row> below = rows.subList(at + 1, rows.size());
    long wider = below.stream().filter(row -> filled(row) > 1).count();
    return filled(rows.get(at)) < 2 && wider * 3 > below.size();
  }

  private static long filled(Row row) {
    return row.fields().stream().filter(field -> !field.isBlank()).count();
  }

  /** The first row of more than one name and no value, when there are values below it. */
  private int unnamedHeader() {
    for (int i = 0; i < Math.min(KeywordFile.ROWS_WITH_HEADER, rows.size()); i++) {
      if (!isTitle(i)) {
        return canBeHeader(rows.get(i)) ? i + 1 : i;
      }
    }
    return 0;
  }

  private static boolean canBeHeader(Row row) {
    return filled(row) > 1
        && row.fields().stream().noneMatch(f -> Cells.isFigure(f) || Cells.isPages(f));
  }

  /** The columns under one header, while they are guessed. */
  private static final class Columns {
    private final List<String> names;
    private final List<List<String>> cells;
    private final Column[] columns;

    Columns(List<String> names, List<Row> below, int count) {
      this.names = names;
      cells =
          IntStream.range(0, count)
              .mapToObj(
                  place ->
                      below.stream()
                          .map(row -> row.field(place))
                          .filter(cell -> !cell.isBlank())
                          .toList())
              .toList();
      columns = new Column[count];
      Arrays.fill(columns, Column.OTHER);
    }

    List<Column> guessed() {
      byNames();
      byValues();
      ownOrRanking();
      return List.of(columns);
    }

    private String name(int place) {
      return place < names.size() ? names.get(place) : "";
    }

    /**
     * No column twice but ranking pages: of several the one whose values bear its name out, then
     * the one of the plainest name, then the first.
     */
    private void byNames() {
      for (Column column : EnumSet.complementOf(EnumSet.of(Column.OTHER))) {
        List<Integer> named =
            IntStream.range(0, columns.length)
                .filter(i -> HeaderWords.column(name(i)) == column)
                .boxed()
                .toList();
        if (column == Column.RANKING_PAGES) {
          named.stream().filter(this::holdsPages).forEach(i -> columns[i] = column);
        } else {
          named.stream()
              .filter(i -> holds(i, column) || !column.needsItsValues())
              .min(
                  Comparator.<Integer, Boolean>comparing(i -> !holds(i, column))
                      .thenComparingInt(i -> name(i).strip().split("\\s+").length))
              .ifPresent(i -> columns[i] = column);
        }
      }
    }

    private boolean holds(int place, Column column) {
      return cells.get(place).isEmpty() || Cells.mayHold(column, cells.get(place));
    }

    private boolean holdsPages(int place) {
      return holds(place, Column.RANKING_PAGES)
          || HeaderWords.namesAddresses(name(place)) && !Cells.areFigures(cells.get(place));
    }

    private boolean has(Column column) {
      return Arrays.asList(columns).contains(column);
    }

    /** Columns whose names say nothing. */
    private List<Integer> open() {
      return IntStream.range(0, columns.length)
          .filter(i -> columns[i] == Column.OTHER && !cells.get(i).isEmpty())
          .filter(i -> isLong() || !Cells.areRowNumbers(cells.get(i)))
          .filter(i -> HeaderWords.column(name(i)) == Column.OTHER)
          .filter(i -> !HeaderWords.namesSomethingElse(name(i)) || isWeak(i))
          .boxed()
          .toList();
    }

    private boolean isWeak(int place) {
      return HeaderWords.mayBeDifficulty(name(place));
    }

    private void byValues() {
      if (!has(Column.KEYWORD)) {
        keywordByValues();
      }
      for (int i : open()) {
        if (!isWeak(i) && Cells.areAll(cells.get(i), Cells::isPages)) {
          columns[i] = Column.RANKING_PAGES;
        } else if (!isWeak(i) && !has(Column.INTENT) && Cells.areIntents(cells.get(i))) {
          columns[i] = Column.INTENT;
        }
      }
      if (isLong() && !has(Column.POSITION)) {
        take(Column.POSITION, Cells::arePositions);
      }
      take(Column.COST_PER_CLICK, Cells::arePrices);
      volumeByValues();
      take(Column.DIFFICULTY, Cells::areUpTo100);
    }

    private void take(Column column, Predicate<List<String>> fits) {
      if (!has(column)) {
        open().stream()
            .filter(i -> column == Column.DIFFICULTY || !isWeak(i))
            .filter(i -> fits.test(cells.get(i)))
            .findFirst()
            .ifPresent(i -> columns[i] = column);
      }
    }

    /** Of whole numbers those that go highest. */
    private void volumeByValues() {
      if (!has(Column.VOLUME)) {
        open().stream()
            .filter(i -> !isWeak(i) && Cells.areWhole(cells.get(i)))
            .max(
                Comparator.<Integer>comparingDouble(i -> Cells.largest(cells.get(i)))
                    .thenComparing(Comparator.reverseOrder()))
            .ifPresent(i -> columns[i] = Column.VOLUME);
      }
    }

    /** The first column of phrases. */
    private void keywordByValues() {
      open().stream()
          .filter(i -> Cells.arePhrases(cells.get(i)))
          .findFirst()
          .ifPresent(i -> columns[i] = Column.KEYWORD);
    }

    /** Whether the keywords repeat, since each has a row for each of its pages. */
    private boolean isLong() {
      int keyword = Arrays.asList(columns).indexOf(Column.KEYWORD);
      if (keyword < 0 || cells.get(keyword).size() < 2) {
        return false;
      }
      List<String> phrases = cells.get(keyword);
      return new HashSet<>(phrases).size() * 3 <= phrases.size() * 2;
    }

    /**
     * A page and a position beside each keyword are the site's own when all pages are of one site
     * or ranking pages stand in other columns; in a file with a row for each page they are the
     * ranking ones.
     */
    private void ownOrRanking() {
      if (isLong()) {
        columns(Column.OWN_POSITION).forEach(i -> columns[i] = Column.POSITION);
        if (columns(Column.RANKING_PAGES).isEmpty()) {
          columns(Column.OWN_PAGE).forEach(i -> columns[i] = Column.RANKING_PAGES);
        }
      } else {
        if (!has(Column.OWN_PAGE)) {
          columns(Column.RANKING_PAGES).stream()
              .filter(i -> HeaderWords.mayBeOwn(name(i)) && isOfOneSite(cells.get(i)))
              .findFirst()
              .ifPresent(i -> columns[i] = Column.OWN_PAGE);
        }
        boolean ofOnePage = columns(Column.RANKING_PAGES).size() == 1 && !has(Column.OWN_PAGE);
        if (!ofOnePage && !has(Column.OWN_POSITION)) {
          columns(Column.POSITION).stream()
              .filter(i -> !Cells.areRowNumbers(cells.get(i)))
              .forEach(i -> columns[i] = Column.OWN_POSITION);
        }
      }
      if (columns(Column.RANKING_PAGES).size() != 1) {
        columns(Column.POSITION).forEach(i -> columns[i] = Column.OTHER);
      }
    }

    private List<Integer> columns(Column column) {
      return IntStream.range(0, columns.length).filter(i -> columns[i] == column).boxed().toList();
    }

    private static boolean isOfOneSite(List<String> cells) {
      Set<String> hosts = new HashSet<>();
      int pages = 0;
      for (String cell : cells) {
        List<String> pieces = PagesCell.pieces(cell);
        if (Cells.isPages(cell) && pieces.size() == 1) {
          pages++;
          hosts.add(PageAddress.of(pieces.get(0)).map(PageAddress::host).orElse(""));
        } else if (Cells.isPages(cell)) {
          return false;
        }
      }
      return pages > 2 && hosts.size() == 1;
    }
  }
}
