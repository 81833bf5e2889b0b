package osmerin.formats.table;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * How much rows look like a table once they are cut into fields: rows of one width, columns of one
 * kind each, and above them a row of names. Titles above do not count, nor does anything inside
 * quotes or inside a field of several web addresses.
 */
final class TableLook {
  /** What a field holds. */
  private enum Kind {
    NUMBER,
    ADDRESS,
    TEXT,
    /** Two fields that were not separated, or the remains of a quoted one. */
    MIXED
  }

  private static final Pattern NUMBER =
      Pattern.compile(
          "[<>~≈]?\\s*\\p{Sc}?\\s*\\d[\\d.,\\s'’\\u00a0\\u202f]*\\s*[kKmM]?\\+?\\s*(?:%|\\p{Sc}|[A-Z]{3})?"
              + "(?:\\s*[-–—]\\s*\\d[\\d.,\\s]*[kKmM]?)?");
  private static final Pattern ADDRESS =
      Pattern.compile(
          "(?:https?://|www\\.)\\S+.*|[\\w-]+(?:\\.[\\w-]+)*\\.[a-zA-Z]{2,}(?:/\\S*.*)?");
  private static final Pattern MIXED =
      Pattern.compile("[^;|\\t]*[;|\\t].*|.*[^\"]\"[^\"].*|.*,\\S*://.*");

  /** So many times the wider rows cannot be titles above them: it is a file of one column. */
  private static final int MORE_THAN_TITLES = 2;

  /** Characters of a field that tell its kind. */
  private static final int TELLING = 300;

  private static final int LONGEST_NUMBER = 60;

  private final List<List<String>> rows;

  TableLook(List<List<String>> rows) {
    this.rows = rows;
  }

  /** 0 for a single column, else above it; the more, the more it looks like a table. */
  double score() {
    int width = commonWidth();
    int header = 0;
    while (header < rows.size() && rows.get(header).size() != width) {
      header++;
    }
    List<List<String>> table = rows.subList(header, rows.size());
    if (width < 2 || table.isEmpty()) {
      return 0;
    }
    List<List<String>> below = table.size() > 1 ? table.subList(1, table.size()) : table;
    double even = (double) table.stream().filter(row -> row.size() == width).count() / rows.size();
    double named = isNamed(table.get(0), below) ? 1 : 0.8;
    return even * purity(below, width) * named * (1 + Math.log(width) / 10);
  }

  /** The commonest width of two or more, the wider at a tie; 1 when far more rows are one field. */
  private int commonWidth() {
    long single = rows.stream().filter(row -> row.size() == 1).count();
    if (single > MORE_THAN_TITLES * (rows.size() - single)) {
      return 1;
    }
    Map<Integer, Long> counts =
        rows.stream()
            .map(List::size)
            .filter(width -> width > 1)
            .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
    return counts.entrySet().stream()
        .max(Map.Entry.<Integer, Long>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
        .map(Map.Entry::getKey)
        .orElse(1);
  }

  /** Whether the first row names columns that hold something else than names. */
  private static boolean isNamed(List<String> first, List<List<String>> below) {
    boolean names =
        first.stream().allMatch(field -> field.isBlank() || kind(field.strip()) == Kind.TEXT);
    boolean values =
        below.stream()
            .flatMap(List::stream)
            .anyMatch(
                field -> kind(field.strip()) == Kind.NUMBER || kind(field.strip()) == Kind.ADDRESS);
    return names && values;
  }

  /** The mean over the columns of the share of fields that are of the column's kind. */
  private static double purity(List<List<String>> rows, int width) {
    double sum = 0;
    int columns = 0;
    for (int column = 0; column < width; column++) {
      Map<Kind, Integer> kinds = new EnumMap<>(Kind.class);
      for (List<String> row : rows) {
        if (column < row.size() && !row.get(column).isBlank()) {
          kinds.merge(kind(row.get(column).strip()), 1, Integer::sum);
        }
      }
      int all = kinds.values().stream().mapToInt(n -> n).sum();
      kinds.remove(Kind.MIXED);
      if (all > 0) {
        sum += kinds.isEmpty() ? 0 : (double) Collections.max(kinds.values()) / all;
        columns++;
      }
    }
    return columns == 0 ? 0 : sum / columns;
  }

  private static Kind kind(String whole) {
    String field = whole.substring(0, Math.min(whole.length(), TELLING));
    if (whole.length() <= LONGEST_NUMBER && NUMBER.matcher(field).matches()) {
      return Kind.NUMBER;
    }
    if (ADDRESS.matcher(field).matches()) {
      return Kind.ADDRESS;
    }
    return MIXED.matcher(field).matches() ? Kind.MIXED : Kind.TEXT;
  }
}
