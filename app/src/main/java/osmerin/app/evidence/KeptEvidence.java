package osmerin.app.evidence;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.EvidenceChange;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PagesSay;

/**
 * Evidence with where it comes from.
 *
 * @param phrase what was searched for
 * @param pages all of them, those that were left out too
 * @param evidence drawn from the others
 * @param say what several of those say, empty for evidence of before
 * @param byMeaning whether that was gathered by meaning, not by words alone
 * @param about what its pages are about, where the service knew none about the phrase
 * @param missing a sentence for each page that could not be had
 */
public record KeptEvidence(
    long id,
    String phrase,
    List<KeptPage> pages,
    Evidence evidence,
    PagesSay say,
    boolean byMeaning,
    boolean simulated,
    @Nullable String about,
    List<String> missing,
    Instant fetchedAt) {
  public KeptEvidence {
    pages = List.copyOf(pages);
    missing = List.copyOf(missing);
  }

  /** Those that something is drawn from. */
  public List<KeptPage> counted() {
    return pages.stream().filter(page -> !page.leftOut()).toList();
  }

  /** The kinds of the pages that count, as far as they are known. */
  public List<PageKind> kinds() {
    return counted().stream()
        .map(KeptPage::kind)
        .filter(Objects::nonNull)
        .map(PageKind.Read::kind)
        .toList();
  }

  /** "6 how-to, 3 list, 1 shop"; empty when their kinds are not known. */
  public String kindWords() {
    return PageKind.words(kinds());
  }

  /** Whether fewer than half are articles, so that an article may not be what is wanted. */
  public boolean areArticlesFew() {
    return PageKind.areArticlesFew(kinds());
  }

  /** The page of that name; the first when there are several. */
  public KeptPage page(String name) {
    return pages.stream().filter(p -> p.read().name().equals(name)).findFirst().orElseThrow();
  }

  /** What changed since an earlier one. */
  public EvidenceChange since(KeptEvidence earlier) {
    return EvidenceChange.between(earlier.state(), state());
  }

  private EvidenceChange.State state() {
    return new EvidenceChange.State(evidence, say);
  }
}
