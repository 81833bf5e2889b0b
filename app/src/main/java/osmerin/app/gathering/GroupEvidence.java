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
    Group group = groups.group(context, groupId);
    String primary = groups.keywords(context, groupId).primary();
    KeptEvidence kept = evidence.ofGroup(context, groupId).orElse(null);
    if (kept == null) {
      return new Page(group, primary, null, List.of(), null, null);
    }
    List<Earlier> earlier = evidence.earlier(context, kept);
    KeptEvidence before =
        earlier.stream()
            .filter(one -> beforeId == null || one.id() == beforeId)
            .findFirst()
            .map(one -> evidence.get(context, one.id()))
            .orElse(null);
    return new Page(
        group, primary, kept, earlier, before, before == null ? null : kept.since(before));
  }
}
