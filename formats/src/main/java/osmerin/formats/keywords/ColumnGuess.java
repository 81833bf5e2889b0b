package osmerin.formats.keywords;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import osmerin.core.keyword.Figure;
import osmerin.core.keyword.NumberPattern;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.text.Delimiter.Row;

/** Guesses which column is which: by the header's words, or by what stands in it. */
final class ColumnGuess {
  /** A header names a column when it matches; the first that does in this order. */
  private enum HeaderWords {
    DIFFICULTY(
        Column.DIFFICULTY,
        "kd|kd ?%|keyword difficulty|difficulty|difficulty score|seo difficulty|competition index"),
    COST_PER_CLICK(Column.COST_PER_CLICK, "cpc.*|cost per click.*|avg\\.? cpc.*|top of page bid.*"),
    INTENT(Column.INTENT, "intent|intents|search intent|keyword intent|user intent"),
    RANKING_PAGES(
        Column.RANKING_PAGES,
        "urls?|serp.*|ranking (pages?|urls?)|top (10|ten|20|pages|urls|results).*|results|pages"
            + "|addresses|ranking addresses"),
    VOLUME(
        Column.VOLUME,
        "volume.*|search volume.*|sv|searches.*|monthly searches|avg\\.? monthly searches.*"
            + "|average monthly searches|monthly volume|monthly search volume|global volume|demand"),
    KEYWORD(
        Column.KEYWORD,
        "keywords?|key ?phrases?|queries|query|search quer(y|ies)|search terms?|top queries|phrases?"
            + "|keyword ?text|terms?");

    private final Column column;
    private final Pattern words;

    HeaderWords(Column column, String words) {
      this.column = column;
      this.words = Pattern.compile(words);
    }
  }

  private ColumnGuess() {}

  /** Whether the first row names columns: it has a known name, or no figure and no address. */
  static boolean hasHeader(Row first) {
    boolean named = first.fields().stream().anyMatch(f -> byHeader(f) != Column.OTHER);
    boolean onlyNames = first.fields().stream().noneMatch(f -> isFigure(f) || isPages(f));
    return named || (onlyNames && first.fields().size() > 1);
  }

  /** One column for each field of the header; none twice but {@link Column#OTHER}. */
  static List<Column> fromHeader(Row header) {
    List<Column> columns = new ArrayList<>();
    Set<Column> taken = EnumSet.noneOf(Column.class);
    for (String field : header.fields()) {
      Column column = byHeader(field);
      columns.add(column != Column.OTHER && taken.add(column) ? column : Column.OTHER);
    }
    return columns;
  }

  /** For a file without a header, from its first rows. */
  static List<Column> fromContent(List<Row> rows) {
    int width = rows.stream().mapToInt(row -> row.fields().size()).max().orElse(0);
    Column[] columns = new Column[width];
    Arrays.fill(columns, Column.OTHER);
    Set<Column> taken = EnumSet.noneOf(Column.class);
    for (int i = 0; i < width; i++) {
      int at = i;
      List<String> cells =
          rows.stream().map(row -> row.field(at)).filter(cell -> !cell.isBlank()).toList();
      Column column = byContent(cells, taken);
      if (column != Column.OTHER && taken.add(column)) {
        columns[i] = column;
      }
    }
    return List.of(columns);
  }

  private static Column byContent(List<String> cells, Set<Column> taken) {
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
    if (!taken.contains(Column.VOLUME)) {
      return Column.VOLUME;
    }
    boolean decimals = cells.stream().anyMatch(c -> c.matches(".*\\d[.,]\\d{1,2}|\\p{Sc}.*"));
    return decimals || taken.contains(Column.DIFFICULTY)
        ? Column.COST_PER_CLICK
        : Column.DIFFICULTY;
  }

  private static Column byHeader(String field) {
    String name = field.strip().toLowerCase(Locale.ROOT).replace('_', ' ').replaceAll("\\s+", " ");
    for (HeaderWords words : HeaderWords.values()) {
      if (words.words.matcher(name).matches()) {
        return words.column;
      }
    }
    return Column.OTHER;
  }

  private static boolean isFigure(String cell) {
    return Figure.read(cell, NumberPattern.UNDECIDED) instanceof Figure.Known;
  }

  private static boolean isPages(String cell) {
    return cell.contains("/")
        && PagesCell.pieces(cell).stream().anyMatch(p -> PageAddress.of(p).isPresent());
  }
}
