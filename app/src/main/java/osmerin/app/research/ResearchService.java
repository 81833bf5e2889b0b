package osmerin.app.research;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleFilter;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.GroupArticle;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.reach.Reach;
import osmerin.app.reach.ReachService;
import osmerin.app.research.ResearchMapper.GroupRow;
import osmerin.app.research.ResearchMapper.MemberRow;
import osmerin.app.research.ResearchMapper.TopicRow;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.worth.SiteReach;
import osmerin.core.worth.Worth;

/** Topics, groups and keywords as they stand. */
@Service
public class ResearchService implements Reversal {
  private static final String ARCHIVED = "Archived";
  private static final int NEXT_SHOWN = 8;

  private final ResearchMapper research;
  private final ArticleService articles;
  private final ReachService reach;
  private final History history;

  ResearchService(
      ResearchMapper research, ArticleService articles, ReachService reach, History history) {
    this.research = research;
    this.reach = reach;
    this.articles = articles;
    this.history = history;
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
    public boolean isOpen() {
      return articles.isEmpty() && row.archivedAt() == null;
    }

    public boolean isLive() {
      return articles.stream().anyMatch(GroupArticle::live);
    }

    long searches() {
      return row.searches() == null ? 0 : row.searches();
    }
  }

  /**
   * A topic in figures. Demand is in searches a month.
   *
   * @param live demand of the groups that a live article answers
   * @param inWork demand of the groups that only an article in work answers
   */
  public record TopicSummary(
      TopicRow topic,
      int groups,
      int keywords,
      long searches,
      boolean atLeast,
      @Nullable Double difficulty,
      long live,
      long inWork) {
    public long open() {
      return searches - live - inWork;
    }
  }

  /**
   * All topics.
   *
   * @param topics by demand
   * @param next open groups by yield, the first few
   */
  public record Overview(
      List<TopicSummary> topics, List<Group> next, long groups, long keywords, long open) {}

  /** A topic with its groups. */
  public record TopicPage(TopicSummary summary, List<Group> groups, Reach reach) {}

  /** A group with its keywords, the primary one first. */
  public record GroupPage(Group group, List<MemberRow> members, Reach reach) {}

  /**
   * What a group would be worth.
   *
   * @param strength of the site, 0–100
   * @param position taken as reached, null for the one to expect
   */
  public record WhatIf(Group group, Reach reach, int strength, @Nullable Integer position) {
    public Worth worth() {
      SiteReach site = SiteReach.of(strength);
      return position == null
          ? Worth.of(group.row().demand(), site, reach.hours())
          : Worth.atPosition(group.row().demand(), site, reach.hours(), position);
    }
  }

  /** The keywords of a group, for a brief. */
  public record GroupKeywords(String primary, List<String> secondary) {}

  public Overview overview(SiteContext context) {
    List<Group> groups = groups(context, null);
    Map<Long, List<Group>> byTopic =
        groups.stream()
            .filter(g -> g.row().topicId() != null)
            .collect(Collectors.groupingBy(g -> g.row().topicId()));
    List<TopicSummary> topics =
        research.topics(context.siteId()).stream()
            .map(t -> summary(t, byTopic.getOrDefault(t.id(), List.of())))
            .sorted(
                Comparator.comparingLong(TopicSummary::searches)
                    .reversed()
                    .thenComparing(t -> t.topic().name()))
            .toList();
    List<Group> open =
        groups.stream().filter(Group::isOpen).sorted(GroupOrder.YIELD.comparator()).toList();
    return new Overview(
        topics,
        open.stream().limit(NEXT_SHOWN).toList(),
        groups.size(),
        research.countKeywords(context.siteId()),
        open.size());
  }

  /** The topics by name. */
  public List<TopicRow> topicNames(SiteContext context) {
    return research.topics(context.siteId()).stream()
        .sorted(Comparator.comparing(TopicRow::name, String.CASE_INSENSITIVE_ORDER))
        .toList();
  }

  public TopicPage topic(SiteContext context, long id, GroupOrder order) {
    TopicRow topic =
        research.topics(context.siteId()).stream()
            .filter(t -> t.id() == id)
            .findFirst()
            .orElseThrow(() -> new NotFoundException("topic", id));
    List<Group> groups = groups(context, id);
    return new TopicPage(
        summary(topic, groups),
        groups.stream().sorted(order.comparator()).toList(),
        reach.get(context));
  }

  public GroupPage group(SiteContext context, long id) {
    GroupRow row =
        research
            .findGroup(context.siteId(), id)
            .orElseThrow(() -> new NotFoundException("keyword group", id));
    List<GroupArticle> answers = articles.byGroup(context.siteId()).getOrDefault(id, List.of());
    Reach now = reach.get(context);
    Group group = weighed(row, answers, now);
    return new GroupPage(group, research.members(id), now);
  }

  /** What a group would be worth; what is out of range counts as not asked. */
  public WhatIf whatIf(
      SiteContext context, long id, @Nullable Integer strength, @Nullable Integer position) {
    GroupPage page = group(context, id);
    boolean strong = strength != null && strength >= 0 && strength <= 100;
    boolean placed = position != null && position >= 1 && position <= 10;
    return new WhatIf(
        page.group(),
        page.reach(),
        strong ? strength : page.reach().strength(),
        placed ? position : null);
  }

  /** The primary and the other keywords of a group. */
  public GroupKeywords keywords(SiteContext context, long groupId) {
    List<String> texts =
        new ArrayList<>(group(context, groupId).members().stream().map(MemberRow::text).toList());
    return new GroupKeywords(texts.get(0), texts.subList(1, texts.size()));
  }

  /** Groups that no article answers yet. */
  public long open(SiteContext context) {
    return research.countOpen(context.siteId(), articles.byGroup(context.siteId()).keySet());
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

  /** Puts a group out of sight, or brings it back; its keywords stay in it. */
  @Transactional
  public void archive(SiteContext context, long id, boolean away) {
    context.require(Right.IMPORT);
    GroupRow group = group(context, id).group().row();
    if (research.archiveGroup(context.siteId(), id, away) == 1) {
      history.note(
          context,
          Right.IMPORT,
          "The group “%s” is %s."
              .formatted(group.name(), away ? "in the archive" : "back from the archive"),
          Change.of(Thing.GROUP, id, ARCHIVED, away ? null : "archived", away ? "archived" : null));
    }
  }

  @Override
  public Thing thing() {
    return Thing.GROUP;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    for (Change change : changes) {
      boolean away = change.from() != null;
      if (research.archiveGroup(context.siteId(), Long.parseLong(key), away) == 0) {
        throw new RefusedException("The group is not as it was left, so it cannot be put back.");
      }
    }
  }

  private List<Group> groups(SiteContext context, @Nullable Long topicId) {
    Map<Long, List<GroupArticle>> byGroup = articles.byGroup(context.siteId());
    Reach now = reach.get(context);
    return research.groups(context.siteId(), topicId, false).stream()
        .map(row -> weighed(row, byGroup.getOrDefault(row.id(), List.of()), now))
        .toList();
  }

  private static Group weighed(GroupRow row, List<GroupArticle> articles, Reach reach) {
    Worth worth = reach.worth(row.demand());
    return new Group(row, articles, worth, worth.value(reach.perVisit(row.funnelStage())));
  }

  private static TopicSummary summary(TopicRow topic, List<Group> groups) {
    long live = groups.stream().filter(Group::isLive).mapToLong(Group::searches).sum();
    long answered = groups.stream().filter(g -> !g.isOpen()).mapToLong(Group::searches).sum();
    return new TopicSummary(
        topic,
        groups.size(),
        groups.stream().mapToInt(g -> g.row().keywords()).sum(),
        groups.stream().mapToLong(Group::searches).sum(),
        groups.stream().anyMatch(g -> g.row().atLeast() || g.row().searches() == null),
        difficulty(groups),
        live,
        answered - live);
  }

  /** Mean of the groups' difficulties weighted by demand; null when none is known. */
  private static @Nullable Double difficulty(List<Group> groups) {
    double sum = 0;
    double weights = 0;
    for (Group group : groups) {
      if (group.row().difficulty() != null) {
        double weight = Math.max(1, group.searches());
        sum += weight * group.row().difficulty();
        weights += weight;
      }
    }
    return weights == 0 ? null : sum / weights;
  }
}
