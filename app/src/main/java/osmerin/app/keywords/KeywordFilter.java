package osmerin.app.keywords;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.data.LikePattern;
import osmerin.app.platform.web.Paging;
import osmerin.app.platform.web.Typed;
import osmerin.app.views.Asked;
import osmerin.app.views.Columns;
import osmerin.core.intent.SearchIntent;

/**
 * What of the keyword ledger is shown, as it stands in the address. Nonsense in the address counts
 * as nothing asked.
 *
 * @param q words the keyword holds, each of them
 * @param starts what it begins with
 * @param without words of which it holds none
 * @param covered "yes" or "no": whether an article answers its group
 * @param pages "yes" or "no": whether ranking pages are known
 * @param group its number, or "none" for keywords that wait for one
 * @param excluded "yes": those on the exclude list instead of the others
 * @param fold "no": close variants in rows of their own
 * @param columns those shown beside the keyword, in this order
 * @param sort a column of {@link Sort}, with "-" before it for descending
 * @param page from 1
 */
public record KeywordFilter(
    @Nullable String q,
    @Nullable String starts,
    @Nullable String without,
    @Nullable String volumeFrom,
    @Nullable String volumeTo,
    @Nullable String difficultyFrom,
    @Nullable String difficultyTo,
    @Nullable String intent,
    @Nullable String group,
    @Nullable String topic,
    @Nullable String imported,
    @Nullable String covered,
    @Nullable String pages,
    @Nullable String excluded,
    @Nullable String fold,
    @Nullable List<String> columns,
    @Nullable String sort,
    @Nullable String page,
    @Nullable String size) {
  /** Columns that can be sorted by, each by an index. */
  public enum Sort {
    KEYWORD,
    VOLUME,
    DIFFICULTY,
    COST
  }

  /** What a ledger can show beside the keyword, in the order of nobody's choice. */
  public enum Shown {
    VOLUME("Searches a month", true),
    DIFFICULTY("Difficulty", true),
    COST("Cost per click", true),
    INTENT("Intent", false),
    PAGES("Pages", true),
    GROUP("Group", false),
    TOPIC("Topic", false),
    IMPORT("First import", false);

    private final String label;
    private final boolean figure;

    Shown(String label, boolean figure) {
      this.label = label;
      this.figure = figure;
    }

    public String label() {
      return label;
    }

    public boolean isFigure() {
      return figure;
    }

    /** As it stands in the address. */
    public String key() {
      return Columns.key(this);
    }

    /** Whether the ledger can be sorted by it. */
    public boolean isSortable() {
      return Arrays.stream(Sort.values()).anyMatch(s -> s.name().equals(name()));
    }
  }

  private static final List<Shown> SHIPPED =
      List.of(
          Shown.VOLUME,
          Shown.DIFFICULTY,
          Shown.COST,
          Shown.INTENT,
          Shown.PAGES,
          Shown.GROUP,
          Shown.TOPIC);

  private static final int MOST_WORDS = 8;

  /** The columns beside the keyword. */
  public List<Shown> shown() {
    return Columns.shown(columns, Shown.class, SHIPPED);
  }

  /** All columns: those shown in their order, then the others. */
  public List<Shown> choices() {
    return Columns.choices(shown(), Shown.class);
  }

  public boolean isWaiting() {
    return "none".equals(group);
  }

  public boolean isExcluded() {
    return "yes".equals(excluded);
  }

  public boolean isFolded() {
    return !"no".equals(fold);
  }

  /** The words typed, as parts of patterns. */
  public List<String> words() {
    return patterns(q);
  }

  public List<String> wordsWithout() {
    return patterns(without);
  }

  public @Nullable String start() {
    return starts == null || starts.isBlank() ? null : LikePattern.of(starts) + "%";
  }

  private static List<String> patterns(@Nullable String typed) {
    return typed == null || typed.isBlank()
        ? List.of()
        : Arrays.stream(typed.strip().split("\\s+"))
            .limit(MOST_WORDS)
            .map(word -> "%" + LikePattern.of(word) + "%")
            .toList();
  }

  public @Nullable SearchIntent intentAsked() {
    return Arrays.stream(SearchIntent.values())
        .filter(i -> i.name().equals(intent))
        .findFirst()
        .orElse(null);
  }

  public @Nullable Boolean isCovered() {
    return yesOrNo(covered);
  }

  public @Nullable Boolean hasPages() {
    return yesOrNo(pages);
  }

  private static @Nullable Boolean yesOrNo(@Nullable String typed) {
    return "yes".equals(typed) ? Boolean.TRUE : "no".equals(typed) ? Boolean.FALSE : null;
  }

  /** Whether anything but the order is asked. */
  public boolean isAnything() {
    return isNarrowed() || isWaiting() || isExcluded();
  }

  /** Whether anything is asked of all keywords, of those that wait, or of those excluded. */
  public boolean isNarrowed() {
    return !words().isEmpty()
        || start() != null
        || !wordsWithout().isEmpty()
        || intentAsked() != null
        || Stream.of(volumeFrom, volumeTo, difficultyFrom, difficultyTo, group, topic, imported)
            .anyMatch(typed -> Typed.number(typed) != null)
        || isCovered() != null
        || hasPages() != null;
  }

  public Sort column() {
    return sortAsked().orElse(Sort.VOLUME);
  }

  private Optional<Sort> sortAsked() {
    String name = sort == null ? "" : sort.replaceFirst("^-", "").toUpperCase(Locale.ROOT);
    return Arrays.stream(Sort.values()).filter(s -> s.name().equals(name)).findFirst();
  }

  /** The highest volume first unless the address says otherwise. */
  public boolean descending() {
    return sortAsked().isEmpty() || String.valueOf(sort).startsWith("-");
  }

  public int limit() {
    return Paging.SIZES.stream()
        .filter(n -> n.toString().equals(size))
        .findFirst()
        .orElse(Paging.SIZES.get(1));
  }

  public int pageAsked() {
    Long asked = Typed.number(page);
    return asked == null ? 1 : (int) Math.min(asked, Integer.MAX_VALUE);
  }

  /** The address with these filters in another order; a second click turns the order round. */
  public String sortedBy(String path, String column) {
    boolean same = column().name().toLowerCase(Locale.ROOT).equals(column);
    boolean down = same ? !descending() : !column.equals("keyword");
    return address(path, (down ? "-" : "") + column);
  }

  /** All of this but the columns and the page, as fields of a form. */
  public Map<String, String> hiddenFields() {
    return asked(sort).without("columns");
  }

  /** The address of this with these filters and this order, without the page. */
  public String here(String path) {
    return address(path, sort);
  }

  private String address(String path, @Nullable String order) {
    return asked(order).address(path);
  }

  private Asked asked(@Nullable String order) {
    return new Asked()
        .with("q", q)
        .with("starts", starts)
        .with("without", without)
        .with("volumeFrom", volumeFrom)
        .with("volumeTo", volumeTo)
        .with("difficultyFrom", difficultyFrom)
        .with("difficultyTo", difficultyTo)
        .with("intent", intent)
        .with("group", group)
        .with("topic", topic)
        .with("imported", imported)
        .with("covered", covered)
        .with("pages", pages)
        .with("excluded", excluded)
        .with("fold", fold)
        .with("columns", columns == null ? null : String.join(",", columns))
        .with("size", size)
        .with("sort", order);
  }
}
