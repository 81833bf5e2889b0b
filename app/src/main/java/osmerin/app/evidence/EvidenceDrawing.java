package osmerin.app.evidence;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import osmerin.app.evidence.EvidenceMapper.EvidenceRow;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.RankingPage;
import osmerin.core.evidence.ReadPage;
import osmerin.core.evidence.WordRange;
import osmerin.core.meaning.Meaning;
import tools.jackson.databind.json.JsonMapper;

/** Reads kept evidence, and draws from its pages what is kept beside them. */
@Component
class EvidenceDrawing {
  /** Other pages of the site that terms are weighed against. */
  private static final int PAGES_ELSEWHERE = 120;

  private static final JsonMapper JSON = JsonMapper.shared();

  private final EvidenceMapper evidence;
  private final Clock clock;

  EvidenceDrawing(EvidenceMapper evidence, Clock clock) {
    this.evidence = evidence;
    this.clock = clock;
  }

  KeptEvidence kept(EvidenceRow row) {
    List<KeptPage> pages = pages(row.id());
    Optional<WordRange> length =
        row.wordsLow() == null
            ? Optional.empty()
            : Optional.of(new WordRange(row.wordsLow(), row.wordsTarget(), row.wordsHigh()));
    return new KeptEvidence(
        row.id(),
        row.phrase(),
        pages,
        new Evidence(ranking(pages), length, evidence.terms(row.id())),
        row.say() == null ? PagesSay.NOTHING : JSON.readValue(row.say(), PagesSay.class),
        row.byMeaning(),
        row.simulated(),
        row.about(),
        row.missing(),
        row.fetchedAt());
  }

  /** What the pages say by words and meaning. */
  PagesSay meant(long id, Meaning meaning) {
    return PagesSay.of(counted(pages(id)), List.of(evidence.phrase(id)), meaning);
  }

  List<KeptPage> pages(long id) {
    return evidence.pages(id).stream().map(PageStore::page).toList();
  }

  /** Draws everything from the pages that are not left out; by words, since that is quick. */
  void draw(long siteId, EvidenceRow row) {
    List<KeptPage> pages = pages(row.id());
    List<RankingPage> elsewhere =
        evidence.pagesElsewhere(siteId, row.normal(), PAGES_ELSEWHERE).stream()
            .map(page -> PageStore.page(page).read().ranking())
            .toList();
    Evidence drawn = Evidence.of(ranking(pages), elsewhere);
    evidence.drawn(
        row.id(),
        clock.instant(),
        drawn.length().orElse(null),
        JSON.writeValueAsString(PagesSay.of(counted(pages), List.of(row.phrase()), null)),
        false);
    evidence.clearTerms(row.id());
    for (int i = 0; i < drawn.terms().size(); i++) {
      evidence.insertTerm(row.id(), i + 1, drawn.terms().get(i));
    }
  }

  /** Keeps what they say by meaning, unless something else was drawn in between. */
  void said(long id, Instant changedAt, PagesSay say) {
    evidence.said(id, changedAt, JSON.writeValueAsString(say));
  }

  static List<ReadPage> counted(List<KeptPage> pages) {
    return pages.stream().filter(page -> !page.leftOut()).map(KeptPage::read).toList();
  }

  private static List<RankingPage> ranking(List<KeptPage> pages) {
    return counted(pages).stream().map(ReadPage::ranking).toList();
  }
}
