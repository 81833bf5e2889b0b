package osmerin.app.groups;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.data.LikePattern;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.SiteStrength;
import osmerin.app.worth.StrengthService;

/** Lists and counts of a site's groups, as its pages show them. */
@Service
public class GroupLists {
  private final GroupMapper groups;
  private final ArticleService articles;
  private final StrengthService siteStrength;
  private final Weighing weighing;
  private final GroupService groupService;

  GroupLists(
      GroupMapper groups,
      ArticleService articles,
      StrengthService siteStrength,
      Weighing weighing,
      GroupService groupService) {
    this.groupService = groupService;
    this.groups = groups;
    this.articles = articles;
    this.siteStrength = siteStrength;
    this.weighing = weighing;
  }

  /** Groups in no topic, by demand. */
  public List<Group> withoutTopic(SiteContext context) {
    Map<Long, List<GroupArticle>> byGroup = articles.byGroup(context.siteId());
    SiteStrength now = siteStrength.get(context);
    return groups.withoutTopic(context.siteId()).stream()
        .map(row -> Group.of(row, byGroup.getOrDefault(row.id(), List.of()), now))
        .toList();
  }

  /**
   * Groups by yield.
   *
   * @param groups the first of those whose yield is known
   * @param known how many there are of those
   * @param unknown groups of which difficulty or demand is unknown
   */
  public record ByYield(List<Group> groups, int known, int unknown) {}

  /** Groups by yield, the highest first. */
  public ByYield byYield(SiteContext context, Among among, int limit) {
    Weighing.Weighed all = weighing.all(context);
    Weighing.Ranked ranked = all.byYield(among);
    List<Long> first = ranked.ids().subList(0, Math.min(limit, ranked.known()));
    return new ByYield(
        groupService.groups(context, first), ranked.known(), ranked.ids().size() - ranked.known());
  }

  /** Groups that more than one article answers, live or planned, by demand. */
  public List<Group> shared(SiteContext context) {
    Map<Long, List<GroupArticle>> byGroup = articles.byGroup(context.siteId());
    List<Long> several =
        byGroup.entrySet().stream()
            .filter(group -> group.getValue().size() > 1)
            .map(Map.Entry::getKey)
            .toList();
    SiteStrength now = siteStrength.get(context);
    return groups.groupsById(context.siteId(), several).stream()
        .filter(row -> row.archivedAt() == null)
        .map(row -> Group.of(row, byGroup.get(row.id()), now))
        .sorted(GroupOrder.DEMAND.comparator())
        .toList();
  }

  /** Groups of a topic, of all when it is null, without the archived ones. */
  public List<Group> ofTopic(SiteContext context, @Nullable Long topicId) {
    Map<Long, List<GroupArticle>> byGroup = articles.byGroup(context.siteId());
    SiteStrength now = siteStrength.get(context);
    return groups.groups(context.siteId(), topicId, false).stream()
        .map(row -> Group.of(row, byGroup.getOrDefault(row.id(), List.of()), now))
        .toList();
  }

  /**
   * Archived groups, the latest first.
   *
   * @param words of the name, empty for all
   */
  public List<GroupRow> archived(SiteContext context, String words, int offset, int limit) {
    return groups.archivedGroups(context.siteId(), LikePattern.of(words), offset, limit);
  }

  /** How many there are of {@link #archived}. */
  public long countArchived(SiteContext context, String words) {
    return groups.countArchivedGroups(context.siteId(), LikePattern.of(words));
  }

  /** Groups that no article answers yet, for every page. */
  public long open(SiteContext context) {
    return groups.countOpen(context.siteId());
  }

  /** Whether anything was imported yet. */
  public boolean hasKeywords(SiteContext context) {
    return groups.hasKeywords(context.siteId());
  }

  /**
   * How many groups, keywords and groups without a topic there are.
   *
   * @param all the groups as they are weighed now
   */
  public Counts counts(SiteContext context, Weighing.Weighed all) {
    long siteId = context.siteId();
    return new Counts(
        all.count(Among.ALL),
        all.count(new Among(null, null, true)),
        groups.countKeywords(siteId),
        groups.countWaiting(siteId),
        groups.countWithoutTopic(siteId));
  }

  /**
   * How much there is.
   *
   * @param open groups that no article answers
   * @param waiting keywords without a group
   * @param homeless groups in no topic
   */
  public record Counts(long groups, long open, long keywords, long waiting, long homeless) {}
}
