package osmerin.app.research;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import osmerin.app.articles.ArticleFilter;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.GroupArticle;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.ResearchMapper.GroupRow;
import osmerin.app.research.ResearchMapper.TopicRow;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.SiteStrength;
import osmerin.app.worth.StrengthService;
import osmerin.core.coverage.Coverage;
import osmerin.core.coverage.Covered;
import osmerin.core.group.Grouping;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.Volume;
import osmerin.core.worth.Worth;

/** Topics, groups and keywords as they stand. */
@Service
public class ResearchService {
  private static final int NEXT_SHOWN = 8;

  private final ResearchMapper research;
  private final HandEditMapper edits;
  private final ArticleService articles;
  private final StrengthService siteStrength;
  private final Weighing weighing;

  ResearchService(
      ResearchMapper research,
      HandEditMapper edits,
      ArticleService articles,
      StrengthService siteStrength,
      Weighing weighing) {
    this.weighing = weighing;
    this.research = research;
    this.edits = edits;
    this.siteStrength = siteStrength;
    this.articles = articles;
  }

  /**
   * A group with the articles that answer it.
   *
   * @param articles by number; empty when the group is open
   * @param worth to the site
   * @param value a year for each hour of work, null when it is unknown
   */
  public record Group(
      GroupRow row, List<GroupArticle> articles, Worth worth, @Nullable Double value) {
    /** How far its articles answer it. */
    public Coverage coverage() {
      return Coverage.of(articles.stream().map(GroupArticle::answer).toList());
    }

    public boolean isOpen() {
      return !coverage().isAnswered() && row.archivedAt() == null;
    }

    public boolean isLive() {
      return coverage() == Coverage.LIVE;
    }

    /** Nothing when they are unknown. */
    public long searches() {
      return row.searches() == null ? 0 : row.searches();
    }
  }

  /** A topic in figures. Demand is in searches a month. */
  public record TopicSummary(TopicRow topic, Covered covered) {
    public int groups() {
      return covered.groups();
    }

    public int keywords() {
      return covered.keywords();
    }

    public Volume volume() {
      return covered.volume();
    }

    public long searches() {
      return covered.volume().searches();
    }

    public boolean atLeast() {
      return covered.atLeast();
    }

    public @Nullable Double difficulty() {
      return covered.difficulty();
    }
  }

  /**
   * All topics.
   *
   * @param topics by demand
   * @param next open groups by yield, the first few
   * @param waiting keywords without a group
   * @param homeless groups in no topic
   */
  public record Overview(
      List<TopicSummary> topics,
      List<Group> next,
      long groups,
      long keywords,
      long open,
      long waiting,
      long homeless) {}

  /**
   * A topic with its groups.
   *
   * @param next open groups by yield, the first few
   * @param overlaps groups that more than one article answers
   */
  public record TopicPage(
      TopicSummary summary,
      List<Group> groups,
      List<Group> next,
      List<Group> overlaps,
      SiteStrength siteStrength) {}

  /** The keywords of a group, for a brief. */
  public record GroupKeywords(String primary, List<String> secondary) {}

  /** Groups in no topic, by demand. */
  public List<Group> withoutTopic(SiteContext context) {
    Map<Long, List<GroupArticle>> byGroup = articles.byGroup(context.siteId());
    SiteStrength now = siteStrength.get(context);
    return research.withoutTopic(context.siteId()).stream()
        .map(row -> weighed(row, byGroup.getOrDefault(row.id(), List.of()), now))
        .toList();
  }

  public Overview overview(SiteContext context) {
    Weighing.Weighed all = weighing.all(context);
    Map<Long, Covered> covered = all.byTopic();
    List<TopicSummary> topics =
        research.topics(context.siteId(), true).stream()
            .filter(t -> covered.containsKey(t.id()))
            .map(t -> new TopicSummary(t, covered.get(t.id())))
            .sorted(
                Comparator.comparingLong(TopicSummary::searches)
                    .reversed()
                    .thenComparing(t -> t.topic().name()))
            .toList();
    Among open = new Among(null, null, true);
    return new Overview(
        topics,
        groups(context, all.byYield(open).ids().stream().limit(NEXT_SHOWN).toList()),
        all.count(Among.ALL),
        research.countKeywords(context.siteId()),
        all.count(open),
        research.countWaiting(context.siteId()),
        research.countWithoutTopic(context.siteId()));
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
        groups(context, first), ranked.known(), ranked.ids().size() - ranked.known());
  }

  /** These groups, in this order. */
  private List<Group> groups(SiteContext context, List<Long> ids) {
    Map<Long, List<GroupArticle>> byGroup = articles.byGroup(context.siteId());
    SiteStrength now = siteStrength.get(context);
    Map<Long, Group> found = new HashMap<>();
    for (GroupRow row : research.groupsById(context.siteId(), ids)) {
      found.put(row.id(), weighed(row, byGroup.getOrDefault(row.id(), List.of()), now));
    }
    return ids.stream().map(found::get).filter(Objects::nonNull).toList();
  }

  /** The topics by name. */
  public List<TopicRow> topicNames(SiteContext context) {
    return research.topics(context.siteId(), true);
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
    return research.groupsById(context.siteId(), several).stream()
        .filter(row -> row.archivedAt() == null)
        .map(row -> weighed(row, byGroup.get(row.id()), now))
        .sorted(GroupOrder.DEMAND.comparator())
        .toList();
  }

  /** The topics that the team keeps in mind, the one longest in focus first. */
  public List<TopicSummary> inFocus(SiteContext context) {
    return research.topics(context.siteId(), true).stream()
        .filter(t -> t.focusAt() != null)
        .sorted(Comparator.comparing(TopicRow::focusAt))
        .map(t -> new TopicSummary(t, weighing.topic(context, t.id())))
        .filter(summary -> summary.groups() > 0)
        .toList();
  }

  /** A topic that all groups have left is still there for who stands on it, and for its history. */
  public TopicPage topic(SiteContext context, long id, GroupOrder order) {
    TopicRow topic =
        research.topics(context.siteId(), false).stream()
            .filter(t -> t.id() == id)
            .findFirst()
            .orElseThrow(() -> new NotFoundException("topic", id));
    List<Group> groups = groups(context, id);
    return new TopicPage(
        new TopicSummary(topic, weighing.topic(context, id)),
        groups.stream().sorted(order.comparator()).toList(),
        groups.stream()
            .filter(Group::isOpen)
            .sorted(GroupOrder.YIELD.comparator())
            .limit(NEXT_SHOWN)
            .toList(),
        groups.stream().filter(g -> g.articles().size() > 1).toList(),
        siteStrength.get(context));
  }

  /** A group with its articles and its worth. */
  public Group group(SiteContext context, long id) {
    return group(context, id, siteStrength.get(context));
  }

  private Group group(SiteContext context, long id, SiteStrength now) {
    GroupRow row =
        research
            .findGroup(context.siteId(), id)
            .orElseThrow(() -> new NotFoundException("keyword group", id));
    return weighed(row, articles.byGroup(context.siteId()).getOrDefault(id, List.of()), now);
  }

  /**
   * The primary and the other keywords of a group.
   *
   * @throws RefusedException when it has none any more
   */
  public GroupKeywords keywords(SiteContext context, long groupId) {
    Group group = group(context, groupId);
    List<String> texts =
        StoredKeyword.known(edits.keywordsOf(context.siteId(), List.of(groupId), List.of()))
            .stream()
            .map(KnownKeyword::keyword)
            .sorted(Grouping.PRIMARY_FIRST)
            .map(Keyword::text)
            .toList();
    if (texts.isEmpty()) {
      throw new RefusedException("“" + group.row().name() + "” has no keywords any more.");
    }
    return new GroupKeywords(texts.get(0), texts.subList(1, texts.size()));
  }

  /** The names of those of these groups that there are, by id, in the order asked. */
  public Map<Long, String> names(SiteContext context, List<Long> groupIds) {
    Map<Long, String> found = new HashMap<>();
    edits.states(context.siteId(), groupIds).forEach(state -> found.put(state.id(), state.name()));
    Map<Long, String> names = new LinkedHashMap<>();
    groupIds.stream().filter(found::containsKey).forEach(id -> names.put(id, found.get(id)));
    return names;
  }

  /** Groups that no article answers yet. */
  public long open(SiteContext context) {
    return research.countOpen(context.siteId());
  }

  /** Topics, groups and keywords with these words, the best of each first. */
  public List<FoundResearch> find(SiteContext context, String words, int limit) {
    return research.findByWords(context.siteId(), ArticleFilter.pattern(words), limit);
  }

  /** Archived groups, the latest first. */
  public List<GroupRow> archived(SiteContext context, int offset, int limit) {
    return research.archivedGroups(context.siteId(), offset, limit);
  }

  public long countArchived(SiteContext context) {
    return research.countArchivedGroups(context.siteId());
  }

  private List<Group> groups(SiteContext context, @Nullable Long topicId) {
    Map<Long, List<GroupArticle>> byGroup = articles.byGroup(context.siteId());
    SiteStrength now = siteStrength.get(context);
    return research.groups(context.siteId(), topicId, false).stream()
        .map(row -> weighed(row, byGroup.getOrDefault(row.id(), List.of()), now))
        .toList();
  }

  private static Group weighed(
      GroupRow row, List<GroupArticle> articles, SiteStrength siteStrength) {
    Worth worth = siteStrength.worth(row.demand(), row.wordTarget());
    return new Group(row, articles, worth, worth.value(siteStrength.perVisit(row.funnelStage())));
  }
}
