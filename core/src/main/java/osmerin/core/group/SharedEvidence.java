package osmerin.core.group;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.text.Stems;
import osmerin.core.text.StopWords;
import osmerin.core.text.Words;

/**
 * What speaks for two keywords belonging together.
 *
 * @param pages ranking pages of both, in the order of the first
 * @param words of the first whose stems the second has too, stop words apart
 */
public record SharedEvidence(List<SharedPage> pages, Set<String> words) {
  /** A page that ranks for both, and its places, from 1. */
  public record SharedPage(PageAddress page, int first, int second) {}

  public SharedEvidence {
    pages = List.copyOf(pages);
  }

  /** Compares two keywords by the first {@code depth} ranking pages of each, and by words. */
  public static SharedEvidence of(Keyword a, Keyword b, int depth) {
    List<PageAddress> theirs = b.pages().stream().limit(depth).toList();
    List<SharedPage> pages = new ArrayList<>();
    for (int i = 0; i < Math.min(depth, a.pages().size()); i++) {
      int place = theirs.indexOf(a.pages().get(i));
      if (place >= 0) {
        pages.add(new SharedPage(a.pages().get(i), i + 1, place + 1));
      }
    }
    return new SharedEvidence(pages, words(a, b, new Stems()));
  }

  private static Set<String> words(Keyword of, Keyword with, Stems stems) {
    return words(of, new HashSet<>(stems.all(with.text(), with.language())), stems);
  }

  /** The words of a keyword, stop words apart, whose stems are among those given. */
  static Set<String> words(Keyword of, Set<String> theirs, Stems stems) {
    Set<String> shared = new LinkedHashSet<>();
    for (String word : Words.lower(of.text())) {
      if (!StopWords.contains(word, of.language())
          && theirs.contains(stems.of(word, of.language()))) {
        shared.add(word);
      }
    }
    return shared;
  }
}
