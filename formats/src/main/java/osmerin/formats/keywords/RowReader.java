package osmerin.formats.keywords;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.table.Row;

/**
 * Gathers the rows of a file into keywords; one reader for one file. The cores share the cells of
 * some thousand rows, which are then taken in their order.
 */
final class RowReader {
  private static final int ROWS_AT_ONCE = 4_000;

  private final FileReading reading;
  private final RowCells cells;
  private final KeywordFile.Progress progress;
  private final List<RowProblem> problems = new ArrayList<>();
  private final Map<String, Keyword> keywords = new LinkedHashMap<>();
  private final Map<String, TreeMap<Integer, PageAddress>> positions = new HashMap<>();
  private final Set<String> met = new HashSet<>();
  private final Map<String, OwnRanking> own = new HashMap<>();
  private int rows;
  private int repeated;

  RowReader(FileReading reading, NumberColumns numbers, KeywordFile.Progress progress) {
    this.reading = reading;
    this.progress = progress;
    cells = new RowCells(reading, numbers);
  }

  KeywordRows read(Stream<Row> all) {
    List<Row> some = new ArrayList<>(ROWS_AT_ONCE);
    all.forEach(
        row -> {
          some.add(row);
          if (some.size() == ROWS_AT_ONCE) {
            take(some);
          }
        });
    take(some);
    List<Keyword> read =
        keywords.values().stream()
            .map(k -> positions.containsKey(k.normal()) ? withPages(k) : k)
            .toList();
    return new KeywordRows(rows, read, own, repeated, problems);
  }

  private void take(List<Row> some) {
    some.parallelStream().map(cells::read).toList().forEach(this::take);
    rows += some.size();
    progress.rows(rows);
    some.clear();
  }

  private void take(RowCells.Read read) {
    problems.addAll(read.problems());
    Keyword keyword = read.keyword();
    if (keyword == null) {
      return;
    }
    if (reading.isLong()) {
      addPosition(keyword, read.place());
    } else if (!met.add(keyword.normal())) {
      repeated++;
    }
    keywords.merge(keyword.normal(), keyword, Keyword::updatedBy);
    if (read.own() != null) {
      own.put(keyword.normal(), read.own());
    }
  }

  /** Of two pages at one position the first counts; one without a position comes last. */
  private void addPosition(Keyword keyword, @Nullable Integer place) {
    TreeMap<Integer, PageAddress> its =
        positions.computeIfAbsent(keyword.normal(), k -> new TreeMap<>());
    for (PageAddress page : keyword.pages()) {
      int last = its.isEmpty() ? 0 : its.lastKey();
      its.putIfAbsent(place == null ? Math.max(last, Keyword.MAX_PAGES) + 1 : place, page);
    }
  }

  private Keyword withPages(Keyword k) {
    return k.withPages(List.copyOf(positions.get(k.normal()).values()));
  }
}
