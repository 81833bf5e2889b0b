package osmerin.app.gathering;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.EvidenceService.Earlier;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupService;
import osmerin.app.site.SiteContext;
import osmerin.core.evidence.EvidenceChange;
import osmerin.core.keyword.NormalForm;

/** The evidence of a group as its page shows it. */
@Service
public class GroupEvidence {
  private final GroupService groups;
  private final EvidenceService evidence;

  GroupEvidence(GroupService groups, EvidenceService evidence) {
    this.groups = groups;
    this.evidence = evidence;
  }

  /**
   * A group with its evidence.
   *
   * @param primary its primary keyword
   * @param kept null while there is none
   * @param earlier what was fetched before, the latest first
   * @param before the one of those that it is compared with, null when there is none
   * @param change since then, null when there is nothing to compare with
   */
  public record Page(
      Group group,
      String primary,
      @Nullable KeptEvidence kept,
      List<Earlier> earlier,
      @Nullable KeptEvidence before,
      @Nullable EvidenceChange change) {
    /** Whether it was fetched for another keyword of the group than the primary one. */
    public boolean isOfAnotherKeyword() {
      return kept != null && !NormalForm.of(kept.phrase()).equals(NormalForm.of(primary));
    }
  }

  /**
   * Reads it.
   *
   * @param beforeId the earlier evidence to compare with, null for the latest of those
   */
  public Page page(SiteContext context, long groupId, @Nullable Long beforeId) {
    Page now = withoutEarlier(context, groupId);
    KeptEvidence kept = now.kept();
    if (kept == null) {
      return now;
    }
    List<Earlier> earlier = evidence.earlier(context, kept);
    KeptEvidence before =
        earlier.stream()
            .filter(one -> beforeId == null || one.id() == beforeId)
            .findFirst()
            .map(one -> evidence.get(context, one.id()))
            .orElse(null);
    EvidenceChange change = before == null ? null : kept.since(before);
    return new Page(now.group(), now.primary(), kept, earlier, before, change);
  }

  /** The latest alone, with nothing to compare it with. */
  public Page withoutEarlier(SiteContext context, long groupId) {
    return new Page(
        groups.group(context, groupId),
        groups.keywords(context, groupId).primary(),
        evidence.ofGroup(context, groupId).orElse(null),
        List.of(),
        null,
        null);
  }
}
