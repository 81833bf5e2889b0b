package osmerin.app.evidence;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.evidence.EvidenceMapper.EvidenceRow;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;
import osmerin.core.evidence.ReadPage;
import osmerin.core.keyword.NormalForm;

/**
 * What ranks for the keywords of a site, kept each time it is fetched. It is kept under the keyword
 * it was fetched for, so a group has it as long as that keyword is in it.
 */
@Service
public class EvidenceService {
  private final EvidenceMapper evidence;
  private final EvidenceDrawing drawing;
  private final SearchService search;
  private final TransactionTemplate transaction;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  EvidenceService(
      EvidenceMapper evidence,
      EvidenceDrawing drawing,
      SearchService search,
      TransactionTemplate transaction,
      ApplicationEventPublisher events,
      Clock clock) {
    this.evidence = evidence;
    this.drawing = drawing;
    this.search = search;
    this.transaction = transaction;
    this.events = events;
    this.clock = clock;
  }

  /** Somebody looks at evidence whose points were gathered by words alone so far. */
  record Looked(KeptEvidence kept) {}

  /** Evidence that was fetched before the latest one. */
  public record Earlier(long id, Instant fetchedAt) {}

  public boolean isSearchConnected() {
    return search.isConnected();
  }

  /** Differs when evidence of the site does. */
  public String state(long siteId) {
    return evidence.state(siteId);
  }

  /** The latest evidence for a phrase. */
  public Optional<KeptEvidence> find(SiteContext context, String phrase) {
    String normal = NormalForm.of(phrase);
    return normal.isEmpty()
        ? Optional.empty()
        : evidence.find(context.siteId(), normal).map(drawing::kept);
  }

  /** That of a group: of its primary keyword, else the latest of another of its keywords. */
  public Optional<KeptEvidence> ofGroup(SiteContext context, long groupId) {
    return evidence.ofGroup(context.siteId(), groupId).map(drawing::kept);
  }

  /** Evidence by its id, the latest or an earlier one. */
  public KeptEvidence get(SiteContext context, long id) {
    return evidence
        .byId(context.siteId(), id)
        .map(drawing::kept)
        .orElseThrow(() -> new NotFoundException("evidence", id));
  }

  /**
   * Somebody looks at it. Gathering by meaning takes seconds of all cores, so it is done for what
   * is looked at, in the background.
   */
  @Transactional
  public void look(KeptEvidence kept) {
    if (!kept.byMeaning() && !kept.counted().isEmpty()) {
      events.publishEvent(new Looked(kept));
    }
  }

  /** What was fetched before for the same phrase, the latest first. */
  public List<Earlier> earlier(SiteContext context, KeptEvidence now) {
    return evidence.earlier(context.siteId(), NormalForm.of(now.phrase()));
  }

  /**
   * Asks the search service and keeps what it says; what was known before is kept as an earlier
   * evidence. Pages that people brought stay, and so does what they left out or put in.
   *
   * @throws RefusedException when it cannot be asked; then what was known stays the latest
   */
  public KeptEvidence fetch(SiteContext context, String phrase) {
    if (NormalForm.of(phrase).isEmpty()) {
      throw new RefusedException("There is no primary keyword to search for.");
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
    return transaction.execute(done -> keep(context, phrase, found));
  }

  private KeptEvidence keep(SiteContext context, String phrase, SearchService.Found found) {
    evidence.lockPhrase(context.siteId(), NormalForm.of(phrase));
    List<KeptPage> before = find(context, phrase).map(KeptEvidence::pages).orElse(List.of());
    List<KeptPage> pages = new ArrayList<>();
    Map<String, KeptPage> known = new HashMap<>();
    before.forEach(page -> known.putIfAbsent(page.read().name(), page));
    for (ReadPage read : found.pages()) {
      KeptPage page = KeptPage.of(pages.size() + 1, PageOrigin.SEARCH, read);
      KeptPage same = known.remove(read.name());
      pages.add(same == null ? page : page.decidedAs(same));
    }
    for (KeptPage page : before) {
      if (page.origin().isByHand() && known.containsKey(page.read().name())) {
        pages.add(page.at(pages.size() + 1));
      }
    }
    EvidenceRow row = begin(context, phrase, found);
    pages.forEach(page -> evidence.insertPage(row.id(), PageStore.row(page)));
    return drawn(context, row);
  }

  private EvidenceRow begin(SiteContext context, String phrase, SearchService.Found found) {
    String normal = NormalForm.of(phrase);
    evidence.retire(context.siteId(), normal);
    long id =
        evidence.insert(
            new EvidenceMapper.Drawn(
                context.siteId(),
                phrase,
                normal,
                found.simulated(),
                found.about(),
                clock.instant(),
                found.missing()));
    return evidence.lock(context.siteId(), id).orElseThrow();
  }

  private KeptEvidence drawn(SiteContext context, EvidenceRow row) {
    drawing.draw(context.siteId(), row);
    return get(context, row.id());
  }

  /** Adds pages that a person brought to the latest evidence for a phrase, or begins one. */
  @Transactional
  public KeptEvidence add(
      SiteContext context, String phrase, PageOrigin origin, List<ReadPage> pages) {
    String normal = NormalForm.of(phrase);
    evidence.lockPhrase(context.siteId(), normal);
    EvidenceRow row =
        evidence
            .find(context.siteId(), normal)
            .flatMap(found -> evidence.lock(context.siteId(), found.id()))
            .orElseGet(() -> begin(context, phrase, SearchService.Found.NOTHING));
    List<KeptPage> known = drawing.pages(row.id());
    int last = known.stream().mapToInt(KeptPage::position).max().orElse(0);
    for (ReadPage read : pages) {
      Optional<KeptPage> same =
          known.stream().filter(page -> page.read().name().equals(read.name())).findFirst();
      if (same.isPresent()) {
        throw new RefusedException(
            "“%s” is among the pages already. Remove it first.".formatted(read.name()));
      }
      last++;
      evidence.insertPage(row.id(), PageStore.row(KeptPage.of(last, origin, read)));
    }
    return drawn(context, row);
  }

  /** Leaves a page out, or takes it in again; everything drawn follows. */
  @Transactional
  public KeptEvidence leaveOut(SiteContext context, long id, int position, boolean out) {
    EvidenceRow row = latest(context, id);
    evidence.updatePage(row.id(), PageStore.row(page(row, position).leftOut(out)));
    return drawn(context, row);
  }

  /** Puts a block, from 0, of a page in or out; everything drawn follows. */
  @Transactional
  public KeptEvidence put(SiteContext context, long id, int position, int block, boolean in) {
    EvidenceRow row = latest(context, id);
    KeptPage page = page(row, position);
    if (block < 0 || block >= page.read().blocks().size()) {
      throw new NotFoundException("block", block);
    }
    evidence.updatePage(row.id(), PageStore.row(page.put(block, in)));
    return drawn(context, row);
  }

  /** Removes a page that a person brought; what was found by search can only be left out. */
  @Transactional
  public KeptEvidence remove(SiteContext context, long id, int position) {
    EvidenceRow row = latest(context, id);
    if (evidence.removePage(row.id(), position) == 0) {
      throw new NotFoundException("page of one's own", position);
    }
    return drawn(context, row);
  }

  private EvidenceRow latest(SiteContext context, long id) {
    return evidence
        .lock(context.siteId(), id)
        .orElseThrow(
            () ->
                new RefusedException(
                    "This evidence has been fetched again. Look at the latest one."));
  }

  private KeptPage page(EvidenceRow row, int position) {
    return drawing.pages(row.id()).stream()
        .filter(page -> page.position() == position)
        .findFirst()
        .orElseThrow(() -> new NotFoundException("page", position));
  }
}
