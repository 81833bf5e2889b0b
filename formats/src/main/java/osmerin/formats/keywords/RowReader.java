package osmerin.formats.keywords;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Figure;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.NormalForm;
import osmerin.core.keyword.NumberPattern;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Volume;
import osmerin.formats.text.Delimiter.Row;

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

  private final FileReading reading;
  private final List<Row> rows;
  private final NumberPattern wholeNumbers;
  private final NumberPattern decimals;
  private final List<RowProblem> problems = new ArrayList<>();

  RowReader(FileReading reading, List<Row> rows) {
    this.reading = reading;
    this.rows = rows;
    List<String> volumes = cells(Column.VOLUME);
    NumberPattern money = NumberPattern.of(cells(Column.COST_PER_CLICK));
    NumberPattern difficulty = NumberPattern.of(cells(Column.DIFFICULTY));
    NumberPattern elsewhere = money != NumberPattern.UNDECIDED ? money : difficulty;
    this.wholeNumbers = NumberPattern.ofWholeNumbers(volumes, elsewhere);
    this.decimals = elsewhere != NumberPattern.UNDECIDED ? elsewhere : NumberPattern.of(volumes);
  }

  KeywordRows read() {
    Map<String, Keyword> keywords = new LinkedHashMap<>();
    int repeated = 0;
    for (Row row : rows) {
      try {
        Keyword keyword = keyword(row);
        repeated += keywords.containsKey(keyword.normal()) ? 1 : 0;
        keywords.merge(keyword.normal(), keyword, Keyword::updatedBy);
      } catch (RejectedRow e) {
        problems.add(new RowProblem(row.line(), shown(row), e.getMessage(), true));
      }
    }
    return new KeywordRows(rows.size(), List.copyOf(keywords.values()), repeated, problems);
  }

  private List<String> cells(Column column) {
    int place = reading.place(column);
    return place < 0 ? List.of() : rows.stream().map(row -> row.field(place).strip()).toList();
  }

  private String cell(Row row, Column column) {
    int place = reading.place(column);
    return place < 0 ? "" : row.field(place);
  }

  private Keyword keyword(Row row) throws RejectedRow {
    String text = cell(row, Column.KEYWORD).strip().replaceAll("\\s+", " ");
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
    Figure.Known known = figure(row, Column.VOLUME, wholeNumbers);
    if (known == null) {
      return null;
    }
    if (known.high() > MOST_SEARCHES) {
      throw new RejectedRow("search volume “" + cell(row, Column.VOLUME) + "” is beyond belief");
    }
    return new Volume(Math.round(known.value()), Math.round(known.low()), Math.round(known.high()));
  }

  private @Nullable Integer difficulty(Row row) throws RejectedRow {
    Figure.Known known = figure(row, Column.DIFFICULTY, decimals);
    if (known != null && known.value() > 100) {
      throw new RejectedRow(
          "difficulty “" + cell(row, Column.DIFFICULTY).strip() + "” is not between 0 and 100");
    }
    return known == null ? null : (int) Math.round(known.value());
  }

  private @Nullable BigDecimal costPerClick(Row row) throws RejectedRow {
    Figure.Known known = figure(row, Column.COST_PER_CLICK, decimals);
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
    if (Figure.read(cell, NumberPattern.UNDECIDED) instanceof Figure.Unknown) {
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
    List<String> pieces = PagesCell.pieces(cell(row, Column.RANKING_PAGES));
    List<PageAddress> pages =
        pieces.stream().map(PageAddress::of).flatMap(Optional::stream).toList();
    if (pages.size() < pieces.size() && !Figure.NO_FIGURE.contains(pieces.get(0))) {
      int lost = pieces.size() - pages.size();
      String reason = lost + " of " + pieces.size() + " ranking pages are no web address";
      problems.add(new RowProblem(row.line(), text, reason, false));
    }
    return pages;
  }

  private String shown(Row row) {
    String keyword = cell(row, Column.KEYWORD).strip();
    return shortened(keyword.isEmpty() ? String.join(", ", row.fields()) : keyword);
  }

  private static String shortened(String text) {
    return text.length() <= SHOWN ? text : text.substring(0, SHOWN - 1) + "…";
  }
}
