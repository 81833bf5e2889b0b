package osmerin.app.answers;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupService;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Kind;
import osmerin.core.brief.TypeProposal;
import osmerin.core.runup.StepRole;

/** Begins the brief of a keyword group: its article is commissioned without a date. */
@Service
public class FirstBrief {
  private final GroupService groups;
  private final ArticleService articles;
  private final ArticleTypeService types;
  private final EvidenceService evidence;

  FirstBrief(
      GroupService groups,
      ArticleService articles,
      ArticleTypeService types,
      EvidenceService evidence) {
    this.groups = groups;
    this.articles = articles;
    this.types = types;
    this.evidence = evidence;
  }

  /** An article with whether it was there already. */
  public record Begun(Round round, boolean existed) {}

  /**
   * The article whose brief is written: one that answers the group already, else a new one of the
   * type that fits what ranks, its strategist whoever begins. One act, undone as one.
   */
  @Transactional
  public Begun begin(SiteContext context, long groupId) {
    context.require(Right.COMMISSION);
    Group group = groups.group(context, groupId);
    Optional<Round> open = open(context, group);
    return open.map(round -> new Begun(round, true))
        .orElseGet(() -> new Begun(commission(context, group), false));
  }

  private Optional<Round> open(SiteContext context, Group group) {
    return group.articles().stream()
        .map(GroupArticle::number)
        .map(number -> articles.get(context, number))
        .filter(round -> !round.isLive())
        .findFirst();
  }

  private Round commission(SiteContext context, Group group) {
    List<ArticleType> known = types.list(context.siteId(), Kind.NEW);
    int type =
        TypeProposal.of(
            known.stream().map(ArticleType::name).toList(),
            evidence.ofGroup(context, group.row().id()).map(KeptEvidence::kinds).orElse(List.of()),
            group.row().intent());
    return articles.commission(
        context,
        new Commission(
            Commission.titleOf(group.row().name()),
            known.get(type).id(),
            group.row().id(),
            Map.of(StepRole.STRATEGIST, context.personId()),
            null));
  }
}
