package osmerin.formats.keywords;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
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
  /** A cell that makes its row unreadable. */
  private static final class RejectedRow extends Exception {
    private static final long serialVersionUID = 1;

    RejectedRow(String reason) {
      super(reason);
    }
  }

  private static final double MOST_SEARCHES = 1e12;
  private static final int SHOWN = 80;
  private static final int ROWS_BETWEEN_TELLING = 2_000;
  private static final Pattern SPACE = Pattern.compile("\\s+");

  private final FileReading reading;
  private final NumberColumns numbers;
  private final KeywordFile.Progress progress;
  private final int[] pageColumns;
  private final List<RowProblem> problems = new ArrayList<>();
  private final Map<String, Keyword> keywords = new LinkedHashMap<>();
  private final Map<String, TreeMap<Integer, PageAddress>> positions = new HashMap<>();

  /** Many keywords have the same pages: each is read once, and kept once however it is written. */
  private final Map<String, Optional<PageAddress>> known = new HashMap<>();

  private final Map<PageAddress, PageAddress> once = new HashMap<>();
  private final Set<String> met = new HashSet<>();
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
    return new KeywordRows(rows, read, repeated, problems);
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
    } catch (RejectedRow e) {
      problems.add(new RowProblem(row.line(), shown(row), e.getMessage(), true));
    }
  }

  /** Of two pages at one position the first counts; one without a position comes last. */
  private void addPosition(Row row, Keyword keyword) throws RejectedRow {
    String cell = cell(row, Column.POSITION).strip();
    if (!cell.isEmpty() && !cell.matches("\\d{1,4}(?:[.,]0+)?")) {
      throw new RejectedRow("position “" + shortened(cell) + "” is no number");
    }
    TreeMap<Integer, PageAddress> its =
        positions.computeIfAbsent(keyword.normal(), k -> new TreeMap<>());
    for (PageAddress page : keyword.pages()) {
      int last = its.isEmpty() ? 0 : its.lastKey();
      int position = cell.isEmpty() ? Math.max(last, Keyword.MAX_PAGES) + 1 : number(cell);
      its.putIfAbsent(position, page);
    }
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
      throw new RejectedRow("no keyword in this row");
    }
    if (text.length() > Keyword.MAX_LENGTH) {
      throw new RejectedRow("the keyword is longer than " + Keyword.MAX_LENGTH + " characters");
    }
    return new Keyword(
        text, volume(row), difficulty(row), costPerClick(row), intent(row, text), pages(row, text));
  }

  private @Nullable Volume volume(Row row) throws RejectedRow {
    Figure.Known known = figure(row, Column.VOLUME, numbers.whole());
    if (known == null) {
      return null;
    }
    if (known.high() > MOST_SEARCHES) {
      throw new RejectedRow("search volume “" + cell(row, Column.VOLUME) + "” is beyond belief");
    }
    return new Volume(Math.round(known.value()), Math.round(known.low()), Math.round(known.high()));
  }

  private @Nullable Integer difficulty(Row row) throws RejectedRow {
    Figure.Known known = figure(row, Column.DIFFICULTY, numbers.decimals());
    if (known != null && known.value() > 100) {
      throw new RejectedRow(
          "difficulty “" + cell(row, Column.DIFFICULTY).strip() + "” is not between 0 and 100");
    }
    return known == null ? null : (int) Math.round(known.value());
  }

  private @Nullable BigDecimal costPerClick(Row row) throws RejectedRow {
    Figure.Known known = figure(row, Column.COST_PER_CLICK, numbers.decimals());
    if (known != null && known.value() > 1_000_000) {
      throw new RejectedRow(
          "cost per click “" + cell(row, Column.COST_PER_CLICK).strip() + "” is beyond belief");
    }
    return known == null
        ? null
        : BigDecimal.valueOf(known.value()).setScale(2, RoundingMode.HALF_UP);
  }

  private Figure.@Nullable Known figure(Row row, Column column, NumberPattern pattern)
      throws RejectedRow {
    Figure figure = Figure.read(cell(row, column), pattern);
    if (figure instanceof Figure.Unreadable unreadable) {
      throw new RejectedRow(column.label().toLowerCase() + " " + unreadable.reason());
    }
    return figure instanceof Figure.Known known ? known : null;
  }

  /** An intent or an address that cannot be read costs only its cell, not the row. */
  private @Nullable SearchIntent intent(Row row, String text) {
    String cell = cell(row, Column.INTENT);
    if (cell.isEmpty() || Figure.read(cell, NumberPattern.UNDECIDED) instanceof Figure.Unknown) {
      return null;
    }
    Optional<SearchIntent> intent = IntentCell.read(cell);
    if (intent.isEmpty()) {
      String reason = "intent “" + shortened(cell.strip()) + "” is none we know; read as unknown";
      problems.add(new RowProblem(row.line(), text, reason, false));
    }
    return intent.orElse(null);
  }

  private List<PageAddress> pages(Row row, String text) {
    List<PageAddress> pages = new ArrayList<>();
    int lost = 0;
    for (int column : pageColumns) {
      List<String> pieces = PagesCell.pieces(row.field(column));
      if (!pieces.isEmpty() && Figure.NO_FIGURE.contains(pieces.get(0))) {
        continue;
      }
      for (String piece : pieces) {
        Optional<PageAddress> page = known.computeIfAbsent(piece, this::address);
        page.ifPresent(pages::add);
        lost += page.isPresent() ? 0 : 1;
      }
    }
    if (lost > 0) {
      String reason = lost + " of " + (pages.size() + lost) + " ranking pages are no web address";
      problems.add(new RowProblem(row.line(), text, reason, false));
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
