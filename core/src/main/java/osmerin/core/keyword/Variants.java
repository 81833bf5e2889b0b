package osmerin.core.keyword;

import java.util.Collection;
import java.util.Map;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import osmerin.core.text.Stems;

/**
 * Close variants: keywords with the same stems but for stop words, in any order ("clay for
 * throwing", "throwing clay"). Threads of one computation may share it.
 */
public final class Variants {
  private final Stems stems;
  private final Map<String, String> known = new ConcurrentHashMap<>();

  public Variants(Stems stems) {
    this.stems = stems;
  }

  /** Equal for close variants and only for them. */
  public String key(String phrase) {
    String key = known.get(phrase);
    if (key == null) {
      key = String.join(" ", new TreeSet<>(stems.subject(phrase)));
      known.put(phrase, key);
    }
    return key;
  }

  /**
   * Searches a month of a set of close variants. When all known figures are equal and not zero a
   * tool reports one figure for all of them, so it counts once; otherwise they add up.
   *
   * @param known the known figures of the variants, not empty
   */
  public static Volume volume(Collection<Volume> known) {
    Volume first = known.iterator().next();
    boolean oneFigure = first.searches() > 0 && known.stream().allMatch(first::equals);
    return oneFigure ? first : known.stream().reduce(Volume::plus).orElseThrow();
  }
}
