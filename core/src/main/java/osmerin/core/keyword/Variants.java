package osmerin.core.keyword;

import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;

/**
 * Close variants: keywords of one language with the same stems but for stop words and years, in any
 * order ("clay for throwing", "throwing clay"). Threads of one computation may share it.
 */
public final class Variants {
  private final Stems stems;
  private final Map<Language, Map<String, String>> keys = new EnumMap<>(Language.class);

  public Variants(Stems stems) {
    this.stems = stems;
    for (Language language : Language.values()) {
      keys.put(language, new ConcurrentHashMap<>());
    }
  }

  /** Equal for close variants and only for them. */
  public String key(Keyword keyword) {
    Language language = keyword.language();
    Map<String, String> known = keys.get(language);
    String key = known.get(keyword.text());
    if (key == null) {
      key =
          language.tag()
              + ": "
              + String.join(" ", new TreeSet<>(stems.subject(keyword.text(), language)));
      known.put(keyword.text(), key);
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
