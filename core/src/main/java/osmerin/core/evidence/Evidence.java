package osmerin.core.evidence;

import java.util.List;
import java.util.Optional;

/**
 * What the pages that rank for a group have in common.
 *
 * @param pages the pages it was drawn from
 * @param length quartiles of their words, empty when there is no page with text
 * @param terms the most telling first
 */
public record Evidence(List<RankingPage> pages, Optional<WordRange> length, List<Term> terms) {
  public static final Evidence NONE = new Evidence(List.of(), Optional.empty(), List.of());

  /** Terms that a writer is shown. */
  private static final int MOST_TERMS = 40;

  public Evidence {
    pages = List.copyOf(pages);
    terms = List.copyOf(terms);
  }

  /**
   * Draws evidence from ranking pages.
   *
   * @param elsewhere ranking pages of the site's other groups, against which a term is telling; may
   *     be empty
   */
  public static Evidence of(List<RankingPage> pages, List<RankingPage> elsewhere) {
    List<RankingPage> written = pages.stream().filter(page -> page.words() > 0).toList();
    if (written.isEmpty()) {
      return new Evidence(pages, Optional.empty(), List.of());
    }
    Quartiles words = Quartiles.of(written.stream().mapToDouble(RankingPage::words).toArray());
    WordRange length =
        new WordRange(round(words.lower()), round(words.median()), round(words.upper()));
    List<Term> terms = new TermFinder(written, elsewhere).terms();
    return new Evidence(
        pages, Optional.of(length), terms.subList(0, Math.min(MOST_TERMS, terms.size())));
  }

  /** To tens: nobody writes to the word. */
  private static int round(double words) {
    return (int) Math.round(words / 10) * 10;
  }
}
