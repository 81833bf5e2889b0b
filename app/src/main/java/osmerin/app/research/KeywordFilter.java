package osmerin.app.research;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;
import osmerin.app.articles.ArticleFilter;
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

  private static final int MOST_WORDS = 8;

  /** The words typed, as parts of patterns. */
  public List<String> words() {
    return patterns(q);
  }

  public List<String> wordsWithout() {
    return patterns(without);
  }

  public @Nullable String start() {
    return starts == null || starts.isBlank() ? null : ArticleFilter.pattern(starts) + "%";
  }

  private static List<String> patterns(@Nullable String typed) {
    return typed == null || typed.isBlank()
        ? List.of()
        : Arrays.stream(typed.strip().split("\\s+"))
            .limit(MOST_WORDS)
            .map(word -> "%" + ArticleFilter.pattern(word) + "%")
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
    return !words().isEmpty()
        || start() != null
        || !wordsWithout().isEmpty()
        || intentAsked() != null
        || Stream.of(volumeFrom, volumeTo, difficultyFrom, difficultyTo, group, topic, imported)
            .anyMatch(typed -> number(typed) != null)
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
    return ArticleFilter.SIZES.stream()
        .filter(n -> n.toString().equals(size))
        .findFirst()
        .orElse(ArticleFilter.SIZES.get(1));
  }

  public int pageAsked() {
    Long asked = number(page);
    return asked == null ? 1 : (int) Math.min(asked, Integer.MAX_VALUE);
  }

  /** The whole number that was typed; null when it is none. */
  public static @Nullable Long number(@Nullable String typed) {
    return typed != null && typed.strip().matches("\\d{1,12}") ? Long.valueOf(typed.strip()) : null;
  }

  /** The address with these filters in another order; a second click turns the order round. */
  public String sortedBy(String path, String column) {
    boolean same = column().name().toLowerCase(Locale.ROOT).equals(column);
    boolean down = same ? !descending() : !column.equals("keyword");
    return address(path).queryParam("sort", (down ? "-" : "") + column).toUriString();
  }

  /** The address of this with these filters and this order, without the page. */
  public String here(String path) {
    UriComponentsBuilder address = address(path);
    return (sort == null ? address : address.queryParam("sort", sort)).toUriString();
  }

  private UriComponentsBuilder address(String path) {
    UriComponentsBuilder address = UriComponentsBuilder.fromPath(path);
    add(address, "q", q);
    add(address, "starts", starts);
    add(address, "without", without);
    add(address, "volumeFrom", volumeFrom);
    add(address, "volumeTo", volumeTo);
    add(address, "difficultyFrom", difficultyFrom);
    add(address, "difficultyTo", difficultyTo);
    add(address, "intent", intent);
    add(address, "group", group);
    add(address, "topic", topic);
    add(address, "imported", imported);
    add(address, "covered", covered);
    add(address, "pages", pages);
    add(address, "size", size);
    return address.encode();
  }

  private static void add(UriComponentsBuilder address, String name, @Nullable Object value) {
    if (value != null && !value.toString().isBlank()) {
      address.queryParam(name, "{" + name + "}").uriVariables(Map.of(name, value));
    }
  }
}
