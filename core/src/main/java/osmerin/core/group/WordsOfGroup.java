package osmerin.core.group;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import osmerin.core.group.Membership.Basis;
import osmerin.core.keyword.Keyword;
import osmerin.core.text.Stems;
import osmerin.core.text.Words;

/**
 * The words that most keywords with ranking pages of a group have. They say why a keyword without
 * is there; what it means need not be asked then.
 */
final class WordsOfGroup {
  /** Keywords with pages that have a word of the group. */
  private static final int FEWEST = 3;

  private static final double MOST_OF_THEM = 0.5;

  private final Stems stems;
  private final Map<String, Integer> counts = new HashMap<>();
  private int withPages;

  WordsOfGroup(List<Keyword> keywords, Stems stems) {
    this.stems = stems;
    for (Keyword keyword : keywords) {
      if (!Grouping.hasFewPages(keyword)) {
        withPages++;
        stems
            .subject(keyword.text(), keyword.language())
            .forEach(stem -> counts.merge(stem, 1, Integer::sum));
      }
    }
  }

  /** Whether a keyword of which few pages are known has one of them. */
  boolean tell(Keyword keyword) {
    return Grouping.hasFewPages(keyword)
        && stems.subject(keyword.text(), keyword.language()).stream().anyMatch(this::isOfMost);
  }

  private boolean isOfMost(String stem) {
    int having = counts.getOrDefault(stem, 0);
    return having >= FEWEST && having >= MOST_OF_THEM * withPages;
  }

  /** A keyword that is in the group by them. */
  Membership membership(Keyword keyword) {
    Set<String> shared = new LinkedHashSet<>();
    for (String word : Words.lower(keyword.text())) {
      if (isOfMost(stems.of(word, keyword.language()))) {
        shared.add(word);
      }
    }
    return new Membership(keyword, Basis.WORDS, 0, null, List.of(), shared);
  }
}
