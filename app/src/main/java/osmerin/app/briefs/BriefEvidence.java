package osmerin.app.briefs;

import java.util.Optional;
import org.springframework.stereotype.Component;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;

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
}
