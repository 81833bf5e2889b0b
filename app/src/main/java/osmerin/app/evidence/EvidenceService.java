package osmerin.app.evidence;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.evidence.EvidenceMapper.EvidenceRow;
import osmerin.app.evidence.EvidenceMapper.PageRow;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.RankingPage;
import osmerin.core.evidence.ReadPage;
import osmerin.core.evidence.WordRange;
import osmerin.core.keyword.NormalForm;
import tools.jackson.databind.json.JsonMapper;

/** What ranks for the primary keywords of a site, fetched once and kept. */
@Service
public class EvidenceService {
  /** Other pages of the site that terms are weighed against. */
  private static final int PAGES_ELSEWHERE = 300;

  private static final JsonMapper JSON = JsonMapper.shared();

  private final EvidenceMapper evidence;
  private final SearchService search;
  private final TransactionTemplate transaction;
  private final Clock clock;

  EvidenceService(
      EvidenceMapper evidence, SearchService search, TransactionTemplate transaction, Clock clock) {
    this.evidence = evidence;
    this.search = search;
    this.transaction = transaction;
    this.clock = clock;
  }

  /**
   * Evidence with where it comes from.
   *
   * @param kinds of its pages, in their order; empty for evidence of before
   * @param say what several of them say, empty for evidence of before
   */
  public record Kept(
      Evidence evidence,
      List<PageKind.Read> kinds,
      PagesSay say,
      boolean simulated,
      Instant fetchedAt) {
    /** "6 of 10 are how-to, 3 list, 1 shop"; empty when their kinds are not known. */
    public String kindWords() {
      return PageKind.words(kinds.stream().map(PageKind.Read::kind).toList());
    }

    /** Whether fewer than half are articles, so that an article may not be what is wanted. */
    public boolean areArticlesFew() {
      return PageKind.areArticlesFew(kinds.stream().map(PageKind.Read::kind).toList());
    }
  }

  public boolean isSearchConnected() {
    return search.isConnected();
  }

  /** Differs when evidence of the site does. */
  public String state(long siteId) {
    return evidence.state(siteId);
  }

  /** The evidence for a phrase, if it was fetched. */
  public Optional<Kept> find(SiteContext context, String phrase) {
    String normal = NormalForm.of(phrase);
    return normal.isEmpty()
        ? Optional.empty()
        : evidence.find(context.siteId(), normal).map(this::kept);
  }

  private Kept kept(EvidenceRow row) {
    Optional<WordRange> length =
        row.wordsLow() == null
            ? Optional.empty()
            : Optional.of(new WordRange(row.wordsLow(), row.wordsTarget(), row.wordsHigh()));
    List<PageRow> rows = evidence.pages(row.id());
    List<RankingPage> pages = rows.stream().map(PageRow::page).toList();
    List<PageKind.Read> kinds =
        rows.stream()
            .filter(page -> page.kind() != null)
            .map(page -> new PageKind.Read(page.kind(), String.valueOf(page.reason())))
            .toList();
    return new Kept(
        new Evidence(pages, length, evidence.terms(row.id())),
        kinds,
        row.say() == null ? PagesSay.NOTHING : JSON.readValue(row.say(), PagesSay.class),
        row.simulated(),
        row.fetchedAt());
  }

  /**
   * Asks the search service and keeps what it says in place of what was known.
   *
   * @throws RefusedException when it cannot be asked; then what was known stays
   */
  public Kept fetch(SiteContext context, String phrase) {
    String normal = NormalForm.of(phrase);
    if (normal.isEmpty()) {
      throw new RefusedException("The brief has no primary keyword yet. Type one and save.");
    }
    if (!search.isConnected()) {
      throw new RefusedException(
          "No search service is connected. Set one with --search when you start Osmerin.");
    }
    SearchService.Found found;
    try {
      found = search.search(phrase);
    } catch (SearchService.SearchFailedException e) {
      throw new RefusedException(e.getMessage());
    }
    // The answer is waited for outside of the transaction, so that no connection is held.
    transaction.executeWithoutResult(done -> store(context, phrase, normal, found));
    return find(context, phrase).orElseThrow();
  }

  private void store(SiteContext context, String phrase, String normal, SearchService.Found found) {
    List<RankingPage> elsewhere =
        evidence.pagesElsewhere(context.siteId(), normal, PAGES_ELSEWHERE).stream()
            .map(PageRow::page)
            .toList();
    Evidence drawn = Evidence.of(found.pages().stream().map(ReadPage::ranking).toList(), elsewhere);
    long id =
        evidence.upsert(
            context.siteId(),
            phrase,
            normal,
            found.simulated(),
            clock.instant(),
            drawn.length().orElse(null),
            JSON.writeValueAsString(PagesSay.of(found.pages())));
    evidence.clearPages(id);
    evidence.clearTerms(id);
    for (int i = 0; i < drawn.pages().size(); i++) {
      evidence.insertPage(id, i + 1, drawn.pages().get(i), PageKind.of(found.pages().get(i)));
    }
    for (int i = 0; i < drawn.terms().size(); i++) {
      evidence.insertTerm(id, i + 1, drawn.terms().get(i));
    }
  }
}
