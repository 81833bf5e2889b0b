package osmerin.formats.keywords;

import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import osmerin.core.keyword.Figure;
import osmerin.core.keyword.NumberPattern;
import osmerin.core.keyword.PageAddress;

/** What the cells of a column look like; cells that say "no figure" speak for nothing. */
final class Cells {
  /** A page beyond this place is on no list. */
  private static final int LAST_POSITION = 100;

  private static final Pattern DECIMALS = Pattern.compile(".*\\d[.,]\\d{1,2}\\D*");
  private static final Pattern CURRENCY =
      Pattern.compile("(?i).*(?:\\p{Sc}|\\b(?:usd|eur|gbp|chf)\\b).*");
  private static final Pattern WHOLE = Pattern.compile("\\d{1,3}");

  private Cells() {}

  static boolean isFigure(String cell) {
    return figure(cell) instanceof Figure.Known;
  }

  static boolean isPages(String cell) {
    return cell.indexOf('/') >= 0
        && PagesCell.pieces(cell).stream().anyMatch(p -> PageAddress.of(p).isPresent());
  }

  private static Figure figure(String cell) {
    return Figure.read(cell, NumberPattern.UNDECIDED);
  }

  private static boolean says(String cell) {
    return !Figure.saysNothing(cell.strip());
  }

  /** Whether all cells that say something are so, and some do. */
  static boolean areAll(List<String> cells, Predicate<String> so) {
    return share(cells, so) == 1;
  }

  /** Of the cells that say something, the part that is so; 0 when none says anything. */
  private static double share(List<String> cells, Predicate<String> so) {
    List<String> saying = cells.stream().filter(Cells::says).toList();
    long fitting = saying.stream().filter(so).count();
    return saying.isEmpty() ? 0 : (double) fitting / saying.size();
  }

  private static boolean areMostly(List<String> cells, Predicate<String> so) {
    return share(cells, so) >= 0.5;
  }

  /** Whether what stands below a header's name can be what the name says. */
  static boolean mayHold(Column column, List<String> cells) {
    boolean silent = cells.stream().noneMatch(Cells::says);
    return switch (column) {
      case KEYWORD -> !areMostly(cells, cell -> isFigure(cell) || isPages(cell));
      case VOLUME, DIFFICULTY, COST_PER_CLICK, POSITION, OWN_POSITION ->
          silent || areMostly(cells, Cells::isFigure);
      case INTENT -> silent || areMostly(cells, cell -> IntentCell.read(cell).isPresent());
      case RANKING_PAGES, OWN_PAGE ->
          silent
              || areMostly(
                  cells, cell -> PageAddress.of(first(cell)).isPresent() && !isFigure(cell));
      case OTHER -> true;
    };
  }

  static boolean areFigures(List<String> cells) {
    return areMostly(cells, Cells::isFigure);
  }

  private static String first(String cell) {
    List<String> pieces = PagesCell.pieces(cell);
    return pieces.isEmpty() ? "" : pieces.get(0);
  }

  static boolean areIntents(List<String> cells) {
    return areAll(cells, cell -> IntentCell.read(cell).isPresent());
  }

  static boolean arePhrases(List<String> cells) {
    return share(cells, cell -> !isFigure(cell) && !isPages(cell)) > 0.8;
  }

  static boolean arePositions(List<String> cells) {
    return areAll(
        cells,
        cell -> {
          String bare = cell.strip();
          return WHOLE.matcher(bare).matches()
              && Integer.parseInt(bare) > 0
              && Integer.parseInt(bare) <= LAST_POSITION;
        });
  }

  /** 1, 2, 3 … down the column: they number the rows. */
  static boolean areRowNumbers(List<String> cells) {
    return cells.size() > 2
        && IntStream.range(0, cells.size())
            .allMatch(i -> cells.get(i).strip().equals(String.valueOf(i + 1)));
  }

  /** Figures of which some have a currency or decimals. */
  static boolean arePrices(List<String> cells) {
    boolean percent = cells.stream().anyMatch(cell -> cell.contains("%"));
    return !percent
        && areAll(cells, Cells::isFigure)
        && cells.stream()
            .anyMatch(cell -> DECIMALS.matcher(cell).matches() || CURRENCY.matcher(cell).matches());
  }

  /** Figures without decimals. */
  static boolean areWhole(List<String> cells) {
    return areAll(cells, Cells::isFigure)
        && cells.stream().noneMatch(cell -> CURRENCY.matcher(cell).matches());
  }

  static boolean areUpTo100(List<String> cells) {
    return areAll(
        cells,
        cell ->
            figure(cell) instanceof Figure.Known known
                && known.high() <= 100
                && known.value() == Math.rint(known.value()));
  }

  static double largest(List<String> cells) {
    return cells.stream()
        .map(Cells::figure)
        .filter(Figure.Known.class::isInstance)
        .mapToDouble(figure -> ((Figure.Known) figure).high())
        .max()
        .orElse(0);
  }
}
