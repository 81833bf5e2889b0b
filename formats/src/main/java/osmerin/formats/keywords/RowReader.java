package osmerin.formats.keywords;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.text.NumberFormat;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Figure;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.NormalForm;
import osmerin.core.keyword.NumberPattern;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Volume;
import osmerin.formats.table.Row;

/** Turns rows into keywords; one reader for one file. */
final class RowReader {
  /** What makes a row unreadable. */
  private static final class RejectedRow extends Exception {
    private static final long serialVersionUID = 1;
    private final String value;

    RejectedRow(String reason, String value) {
      super(reason);
      this.value = value;
    }
  }

  private static final double MOST_SEARCHES = 1e12;
  private static final double MOST_COST = 1e6;
  private static final int SHOWN = 80;
  private static final int ROWS_BETWEEN_TELLING = 2_000;
  private static final Pattern SPACE = Pattern.compile("\\s+");

  /** The line below a table that adds it up: "Total: 589 keywords". */
  private static final Pattern TOTAL =
      Pattern.compile(
          "(?i)(?:grand )?(?:total|totals|totale|totaal|sum|summe|gesamt|somme|suma)"
              + "(?:\\s*:.*|\\s+[\\d.,]+(?: \\p{L}+)?|)");

  private static final Pattern POSITION = Pattern.compile("\\d{1,4}(?:[.,]\\d+)?");

  private final FileReading reading;
  private final NumberColumns numbers;
  private final KeywordFile.Progress progress;
  private final int[] pageColumns;
  private final List<RowProblem> problems = new ArrayList<>();
  private final Map<String, Keyword> keywords = new LinkedHashMap<>();
  private final Map<String, TreeMap<Integer, PageAddress>> positions = new HashMap<>();

  /** Many keywords have the same pages: each is read once, and kept once however it is written. */
  private final Map<String, Optional<PageAddress>> known = new HashMap<>();

  private final Map<String, Optional<SearchIntent>> intents = new HashMap<>();
  private final Map<PageAddress, PageAddress> once = new HashMap<>();
  private final Set<String> met = new HashSet<>();
  private final Map<String, OwnRanking> own = new HashMap<>();
  private int rows;
  private int repeated;

  RowReader(FileReading reading, NumberColumns numbers, KeywordFile.Progress progress) {
    this.reading = reading;
    this.numbers = numbers;
    this.progress = progress;
    this.pageColumns = reading.places(Column.RANKING_PAGES);
  }

  KeywordRows read(Stream<Row> all) {
    all.forEach(this::read);
    progress.rows(rows);
    List<Keyword> read =
        keywords.values().stream()
            .map(k -> positions.containsKey(k.normal()) ? withPages(k) : k)
            .toList();
    return new KeywordRows(rows, read, own, repeated, problems);
  }

  private void read(Row row) {
    if (++rows % ROWS_BETWEEN_TELLING == 0) {
      progress.rows(rows);
    }
    try {
      Keyword keyword = keyword(row);
      if (reading.isLong()) {
        addPosition(row, keyword);
      } else if (!met.add(keyword.normal())) {
        repeated++;
      }
      keywords.merge(keyword.normal(), keyword, Keyword::updatedBy);
      addOwn(row, keyword);
    } catch (RejectedRow e) {
      problems.add(
          new RowProblem(row.line(), shown(row), e.getMessage(), shortened(e.value), true));
    }
  }

  /** Of two pages at one position the first counts; one without a position comes last. */
  private void addPosition(Row row, Keyword keyword) {
    Integer place = position(row, Column.POSITION, keyword.text());
    TreeMap<Integer, PageAddress> its =
        positions.computeIfAbsent(keyword.normal(), k -> new TreeMap<>());
    for (PageAddress page : keyword.pages()) {
      int last = its.isEmpty() ? 0 : its.lastKey();
      its.putIfAbsent(place == null ? Math.max(last, Keyword.MAX_PAGES) + 1 : place, page);
    }
  }

  private void addOwn(Row row, Keyword keyword) {
    if (!reading.has(Column.OWN_POSITION) && !reading.has(Column.OWN_PAGE)) {
      return;
    }
    String cell = cell(row, Column.OWN_PAGE).strip();
    Optional<PageAddress> page = Figure.saysNothing(cell) ? Optional.empty() : address(cell);
    if (page.isEmpty() && !Figure.saysNothing(cell)) {
      drop(row, keyword.text(), "Own page is not a web address", cell);
    }
    Integer position = position(row, Column.OWN_POSITION, keyword.text());
    if (position != null || page.isPresent()) {
      own.put(keyword.normal(), new OwnRanking(position, page.orElse(null)));
    }
  }

  /** A place among the ranking pages, from 1; null when the cell says none. */
  private @Nullable Integer position(Row row, Column column, String text) {
    String cell = cell(row, column).strip();
    if (Figure.saysNothing(cell)) {
      return null;
    }
    if (POSITION.matcher(cell).matches() && number(cell) > 0) {
      return number(cell);
    }
    drop(row, text, column.label() + " is not a place from 1 on", cell);
    return null;
  }

  /** The value is left out and the row kept. */
  private void drop(Row row, String text, String reason, String value) {
    problems.add(
        new RowProblem(row.line(), shortened(text), reason, shortened(value.strip()), false));
  }

  private static int number(String cell) {
    return Integer.parseInt(cell.split("[.,]")[0]);
  }

  private Keyword withPages(Keyword k) {
    return k.withPages(List.copyOf(positions.get(k.normal()).values()));
  }

  private String cell(Row row, Column column) {
    int place = reading.place(column);
    return place < 0 ? "" : row.field(place);
  }

  private Keyword keyword(Row row) throws RejectedRow {
    String text = SPACE.matcher(cell(row, Column.KEYWORD).strip()).replaceAll(" ");
    if (NormalForm.of(text).isEmpty()) {
      throw new RejectedRow("No keyword in this row", "");
    }
    if (TOTAL.matcher(text).matches()) {
      throw new RejectedRow("A total, not a keyword", text);
    }
    if (text.length() > Keyword.MAX_LENGTH) {
      throw new RejectedRow(
          "The keyword is longer than " + Keyword.MAX_LENGTH + " characters", text);
    }
    return new Keyword(
        text,
        volume(row, text),
        difficulty(row, text),
        costPerClick(row, text),
        intent(row, text),
        pages(row, text));
  }

  private @Nullable Volume volume(Row row, String text) {
    Figure.Known known = figure(row, text, Column.VOLUME, numbers.whole(), MOST_SEARCHES);
    return known == null
        ? null
        : new Volume(Math.round(known.value()), Math.round(known.low()), Math.round(known.high()));
  }

  private @Nullable Integer difficulty(Row row, String text) {
    Figure.Known known = figure(row, text, Column.DIFFICULTY, numbers.decimals(), 100);
    return known == null ? null : (int) Math.round(known.value());
  }

  private @Nullable BigDecimal costPerClick(Row row, String text) {
    Figure.Known known = figure(row, text, Column.COST_PER_CLICK, numbers.decimals(), MOST_COST);
    return known == null
        ? null
        : BigDecimal.valueOf(known.value()).setScale(2, RoundingMode.HALF_UP);
  }

  private Figure.@Nullable Known figure(
      Row row, String text, Column column, NumberPattern pattern, double most) {
    String cell = cell(row, column);
    Figure figure = Figure.read(cell, pattern);
    if (figure instanceof Figure.Unreadable unreadable) {
      drop(row, text, column.label() + " " + unreadable.reason(), cell);
    } else if (figure instanceof Figure.Known known && known.high() > most) {
      String limit = NumberFormat.getIntegerInstance(Locale.ROOT).format(most);
      drop(row, text, column.label() + " is above " + limit, cell);
    } else if (figure instanceof Figure.Known known) {
      return known;
    }
    return null;
  }

  private @Nullable SearchIntent intent(Row row, String text) {
    String cell = cell(row, Column.INTENT);
    if (Figure.saysNothing(cell)) {
      return null;
    }
    Optional<SearchIntent> intent = intents.computeIfAbsent(cell, IntentCell::read);
    if (intent.isEmpty()) {
      drop(row, text, "Intent is not one we know", cell);
    }
    return intent.orElse(null);
  }

  private List<PageAddress> pages(Row row, String text) {
    List<PageAddress> pages = new ArrayList<>();
    List<String> lost = new ArrayList<>();
    for (int column : pageColumns) {
      List<String> pieces = PagesCell.pieces(row.field(column));
      if (!pieces.isEmpty() && Figure.saysNothing(row.field(column))) {
        continue;
      }
      for (String piece : pieces) {
        Optional<PageAddress> page = known.computeIfAbsent(piece, this::address);
        page.ifPresentOrElse(pages::add, () -> lost.add(piece));
      }
    }
    if (!lost.isEmpty()) {
      drop(row, text, "Ranking page is not a web address", String.join(" ", lost));
    }
    return pages;
  }

  private Optional<PageAddress> address(String piece) {
    return PageAddress.of(piece).map(page -> once.computeIfAbsent(page, p -> p));
  }

  private String shown(Row row) {
    String keyword = cell(row, Column.KEYWORD).strip();
    return shortened(keyword.isEmpty() ? String.join(", ", row.fields()) : keyword);
  }

  private static String shortened(String text) {
    return text.length() <= SHOWN ? text : text.substring(0, SHOWN - 1) + "…";
  }
}
