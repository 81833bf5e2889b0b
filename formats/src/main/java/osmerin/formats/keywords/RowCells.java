package osmerin.formats.keywords;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.text.NumberFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Figure;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.KeywordFigures;
import osmerin.core.keyword.NormalForm;
import osmerin.core.keyword.NumberPattern;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Volume;
import osmerin.formats.table.Row;

/**
 * Reads the cells of rows, each by itself, so that threads may share one. A cell that cannot be
 * read is left out and told of; only a row without a keyword gives none.
 */
final class RowCells {
  /**
   * What a row says.
   *
   * @param keyword null when the row holds none
   * @param place of the row's one ranking page, null when it is not said
   * @param own null when the row says nothing of the site's own page
   */
  record Read(
      @Nullable Keyword keyword,
      @Nullable Integer place,
      @Nullable OwnRanking own,
      List<RowProblem> problems) {}

  private static final double MOST_SEARCHES = 1e12;
  private static final double MOST_COST = 1e6;
  private static final int SHOWN = 80;
  private static final int MANY_PAGES = 1 << 16;
  private static final Pattern NO_TEXT = Pattern.compile("[\\p{Cntrl}\uFFFD]+");
  private static final Pattern SPACE = Pattern.compile("\\s+");

  /** The line below a table that adds it up: "Total: 589 keywords". */
  private static final Pattern TOTAL =
      Pattern.compile(
          "(?i)(?:grand )?(?:total|totals|totale|totaal|sum|summe|gesamt|somme|suma)"
              + "(?:\\s*:.*|\\s+[\\d.,]+(?: \\p{L}+)?|)");

  private static final Pattern POSITION = Pattern.compile("\\d{1,4}(?:[.,]\\d+)?");

  private final FileReading reading;
  private final NumberColumns numbers;
  private final int[] pageColumns;

  /** Many keywords have the same pages: each is read and kept once. */
  private final Map<String, Optional<PageAddress>> known = new ConcurrentHashMap<>(MANY_PAGES);

  private final Map<String, Optional<SearchIntent>> intents = new ConcurrentHashMap<>();

  RowCells(FileReading reading, NumberColumns numbers) {
    this.reading = reading;
    this.numbers = numbers;
    this.pageColumns = reading.places(Column.RANKING_PAGES);
  }

  Read read(Row row) {
    return new OneRow(row).read();
  }

  private static String shortened(String text) {
    String shown = storable(text);
    return shown.length() <= SHOWN ? shown : shown.substring(0, SHOWN - 1) + "…";
  }

  /** Without zero bytes, other control characters, and what stands for bytes of no character. */
  private static String storable(String text) {
    return NO_TEXT.matcher(text).replaceAll("");
  }

  /** A row while it is read. */
  private final class OneRow {
    private final Row row;
    private final String text;
    private final List<RowProblem> problems = new ArrayList<>(0);

    OneRow(Row row) {
      this.row = row;
      String typed = SPACE.matcher(cell(Column.KEYWORD).strip()).replaceAll(" ");
      this.text = storable(typed).strip();
      if (text.length() < typed.length() && !text.isEmpty()) {
        String reason = "it contains bytes that are not text; it was imported without them";
        problems.add(new RowProblem(row.line(), shortened(text), reason, shortened(typed), false));
      }
    }

    Read read() {
      String fault = fault();
      if (fault != null) {
        String shown = text.isEmpty() ? String.join(", ", row.fields()) : text;
        String value = NormalForm.of(text).isEmpty() ? "" : text;
        problems.add(new RowProblem(row.line(), shortened(shown), fault, shortened(value), true));
        return new Read(null, null, null, problems);
      }
      KeywordFigures figures = new KeywordFigures(volume(), difficulty(), costPerClick());
      Keyword keyword = new Keyword(text, figures, intent(), pages());
      Integer place = reading.isLong() ? position(Column.POSITION) : null;
      return new Read(keyword, place, own(), problems);
    }

    /** Why the row holds no keyword; null when it does. */
    private @Nullable String fault() {
      if (NormalForm.of(text).isEmpty()) {
        return "No keyword in this row";
      }
      if (TOTAL.matcher(text).matches()) {
        return "A total, not a keyword";
      }
      return text.length() > Keyword.MAX_LENGTH
          ? "The keyword is longer than " + Keyword.MAX_LENGTH + " characters"
          : null;
    }

    private String cell(Column column) {
      int place = reading.place(column);
      return place < 0 ? "" : row.field(place);
    }

    /** The value is left out and the row kept. */
    private void drop(String reason, String value) {
      problems.add(
          new RowProblem(row.line(), shortened(text), reason, shortened(value.strip()), false));
    }

    private @Nullable OwnRanking own() {
      if (!reading.has(Column.OWN_POSITION) && !reading.has(Column.OWN_PAGE)) {
        return null;
      }
      String cell = cell(Column.OWN_PAGE).strip();
      Optional<PageAddress> page =
          Figure.saysNothing(cell) ? Optional.empty() : PageAddress.of(cell);
      if (page.isEmpty() && !Figure.saysNothing(cell)) {
        drop("Own page is not a web address", cell);
      }
      Integer position = position(Column.OWN_POSITION);
      return position == null && page.isEmpty()
          ? null
          : new OwnRanking(position, page.orElse(null));
    }

    /** A place among the ranking pages, from 1; null when the cell says none. */
    private @Nullable Integer position(Column column) {
      String cell = cell(column).strip();
      if (Figure.saysNothing(cell)) {
        return null;
      }
      if (POSITION.matcher(cell).matches()) {
        int place = Integer.parseInt(cell.split("[.,]")[0]);
        if (place > 0) {
          return place;
        }
      }
      drop(column.label() + " is not a position (1 or more)", cell);
      return null;
    }

    private @Nullable Volume volume() {
      Figure.Known known = figure(Column.VOLUME, numbers.whole(), MOST_SEARCHES);
      return known == null
          ? null
          : new Volume(
              Math.round(known.value()), Math.round(known.low()), Math.round(known.high()));
    }

    private @Nullable Integer difficulty() {
      Figure.Known known = figure(Column.DIFFICULTY, numbers.decimals(), 100);
      return known == null ? null : (int) Math.round(known.value());
    }

    private @Nullable BigDecimal costPerClick() {
      Figure.Known known = figure(Column.COST_PER_CLICK, numbers.decimals(), MOST_COST);
      return known == null
          ? null
          : BigDecimal.valueOf(known.value()).setScale(2, RoundingMode.HALF_UP);
    }

    private Figure.@Nullable Known figure(Column column, NumberPattern pattern, double most) {
      String cell = cell(column);
      Figure figure = Figure.read(cell, pattern);
      if (figure instanceof Figure.Unreadable unreadable) {
        drop(column.label() + " " + unreadable.reason(), cell);
      } else if (figure instanceof Figure.Known known && known.high() > most) {
        String limit = NumberFormat.getIntegerInstance(Locale.ROOT).format(most);
        drop(column.label() + " is above " + limit, cell);
      } else if (figure instanceof Figure.Known known) {
        return known;
      }
      return null;
    }

    private @Nullable SearchIntent intent() {
      String cell = cell(Column.INTENT);
      if (Figure.saysNothing(cell)) {
        return null;
      }
      Optional<SearchIntent> intent = intents.computeIfAbsent(cell, IntentCell::read);
      if (intent.isEmpty()) {
        drop("Intent is not one we know", cell);
      }
      return intent.orElse(null);
    }

    private List<PageAddress> pages() {
      List<PageAddress> pages = new ArrayList<>();
      List<String> lost = new ArrayList<>(0);
      for (int column : pageColumns) {
        List<String> pieces = PagesCell.pieces(row.field(column));
        if (pieces.isEmpty() || Figure.saysNothing(row.field(column))) {
          continue;
        }
        for (String piece : pieces) {
          Optional<PageAddress> page = known.get(piece);
          if (page == null) {
            page = PageAddress.of(piece);
            known.put(piece, page);
          }
          page.ifPresentOrElse(pages::add, () -> lost.add(piece));
        }
      }
      if (!lost.isEmpty()) {
        drop("Ranking page is not a web address", String.join(" ", lost));
      }
      return pages;
    }
  }
}
