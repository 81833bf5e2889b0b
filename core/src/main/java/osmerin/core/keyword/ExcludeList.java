package osmerin.core.keyword;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Keywords that nobody wants to write about: whole ones, and words that stand side by side in this
 * order anywhere in a keyword. Asks each keyword once for each of its words.
 */
public final class ExcludeList {
  /** What an entry excludes. */
  public enum Kind {
    /** This keyword only. */
    KEYWORD,
    /** Every keyword that holds these words, side by side in this order. */
    WORDS
  }

  /** An entry in its normal form, as {@link Keyword#normal()} has it. */
  public record Entry(Kind kind, String normal) {}

  private final Set<String> whole = new HashSet<>();
  private final Map<String, List<List<String>>> byFirstWord = new HashMap<>();

  public ExcludeList(Collection<Entry> entries) {
    for (Entry entry : entries) {
      if (entry.kind() == Kind.KEYWORD) {
        whole.add(entry.normal());
      } else {
        List<String> words = words(entry.normal());
        byFirstWord.computeIfAbsent(words.get(0), w -> new ArrayList<>()).add(words);
      }
    }
  }

  /** Whether exactly this entry is on the list. */
  public boolean has(Entry entry) {
    if (entry.kind() == Kind.KEYWORD) {
      return whole.contains(entry.normal());
    }
    List<String> words = words(entry.normal());
    return byFirstWord.getOrDefault(words.get(0), List.of()).contains(words);
  }

  /**
   * Whether a keyword is excluded.
   *
   * @param normal its normal form
   */
  public boolean excludes(String normal) {
    if (whole.contains(normal)) {
      return true;
    }
    if (byFirstWord.isEmpty()) {
      return false;
    }
    List<String> words = words(normal);
    for (int i = 0; i < words.size(); i++) {
      for (List<String> phrase : byFirstWord.getOrDefault(words.get(i), List.of())) {
        int to = i + phrase.size();
        if (to <= words.size() && words.subList(i, to).equals(phrase)) {
          return true;
        }
      }
    }
    return false;
  }

  private static List<String> words(String normal) {
    return Arrays.asList(normal.split(" "));
  }
}
