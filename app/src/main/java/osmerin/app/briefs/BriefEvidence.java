package osmerin.app.briefs;

import java.util.Optional;
import org.springframework.stereotype.Component;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.core.evidence.EvidenceChange;

/**
 * The evidence behind a brief: that of the group its article answers; where it has none, that which
 * was fetched for the brief's primary keyword.
 */
@Component
public class BriefEvidence {
  private final EvidenceService evidence;

  BriefEvidence(EvidenceService evidence) {
    this.evidence = evidence;
  }

  /** The latest; empty when none was fetched. */
  public Optional<KeptEvidence> of(SiteContext context, Round round, Brief brief) {
    return Optional.ofNullable(round.article().groupId())
        .flatMap(group -> evidence.ofGroup(context, group))
        .or(() -> evidence.find(context, brief.primaryKeyword()));
  }

  /** What changed since an earlier evidence. */
  public record Since(KeptEvidence before, EvidenceChange change) {}

  /**
   * For the brief of a further round what changed since the last evidence of before it was opened;
   * empty when there was none, or nothing was fetched since.
   */
  public Optional<Since> since(SiteContext context, BriefPage page) {
    KeptEvidence now = page.evidence();
    if (now == null || page.round().ordinal() == 1 || page.isEvidenceOfBefore()) {
      return Optional.empty();
    }
    return evidence.earlier(context, now).stream()
        .filter(earlier -> !earlier.fetchedAt().isAfter(page.round().startedAt()))
        .findFirst()
        .map(earlier -> evidence.get(context, earlier.id()))
        .map(before -> new Since(before, now.since(before)));
  }
}
