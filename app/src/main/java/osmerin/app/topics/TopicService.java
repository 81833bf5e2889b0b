package osmerin.app.topics;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import osmerin.app.groups.Among;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupLists;
import osmerin.app.groups.GroupOrder;
import osmerin.app.groups.GroupService;
import osmerin.app.groups.Weighing;
import osmerin.app.platform.data.LikePattern;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.SiteStrength;
import osmerin.app.worth.StrengthService;
import osmerin.core.coverage.Covered;
import osmerin.core.keyword.Volume;

/** Topics as they stand. */
@Service
public class TopicService {
  private static final int NEXT_SHOWN = 8;

  private final TopicMapper topics;
  private final GroupService groups;
  private final GroupLists lists;
  private final Weighing weighing;
  private final StrengthService siteStrength;

  TopicService(
      TopicMapper topics,
      GroupService groups,
      GroupLists lists,
      Weighing weighing,
      StrengthService siteStrength) {
    this.topics = topics;
    this.groups = groups;
    this.lists = lists;
    this.weighing = weighing;
    this.siteStrength = siteStrength;
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
   */
  public record Overview(List<TopicSummary> topics, List<Group> next, GroupLists.Counts counts) {}

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

  public Overview overview(SiteContext context) {
    Weighing.Weighed all = weighing.all(context);
    Map<Long, Covered> covered = all.byTopic();
    List<TopicSummary> summaries =
        topics.topics(context.siteId(), true).stream()
            .filter(t -> covered.containsKey(t.id()))
            .map(t -> new TopicSummary(t, covered.get(t.id())))
            .sorted(
                Comparator.comparingLong(TopicSummary::searches)
                    .reversed()
                    .thenComparing(t -> t.topic().name()))
            .toList();
    Among open = new Among(null, null, true);
    return new Overview(
        summaries,
        groups.groups(context, all.byYield(open).ids().stream().limit(NEXT_SHOWN).toList()),
        lists.counts(context, all));
  }

  /** The topics by name. */
  public List<TopicRow> topicNames(SiteContext context) {
    return topics.topics(context.siteId(), true);
  }

  /** The lead topics, the one chosen first before the others. */
  public List<TopicSummary> leadTopics(SiteContext context) {
    return topics.topics(context.siteId(), true).stream()
        .filter(t -> t.focusAt() != null)
        .sorted(Comparator.comparing(TopicRow::focusAt))
        .map(t -> new TopicSummary(t, weighing.topic(context, t.id())))
        .filter(summary -> summary.groups() > 0)
        .toList();
  }

  /** A topic that all groups have left is still there for who stands on it, and for its history. */
  public TopicPage topic(SiteContext context, long id, GroupOrder order) {
    TopicRow topic =
        topics.topics(context.siteId(), false).stream()
            .filter(t -> t.id() == id)
            .findFirst()
            .orElseThrow(() -> new NotFoundException("topic", id));
    List<Group> its = lists.ofTopic(context, id);
    return new TopicPage(
        new TopicSummary(topic, weighing.topic(context, id)),
        its.stream().sorted(order.comparator()).toList(),
        its.stream()
            .filter(Group::isOpen)
            .sorted(GroupOrder.YIELD.comparator())
            .limit(NEXT_SHOWN)
            .toList(),
        its.stream().filter(g -> g.articles().size() > 1).toList(),
        siteStrength.get(context));
  }

  /** Topics, groups and keywords with these words, the best of each first. */
  public List<FoundResearch> find(SiteContext context, String words, int limit) {
    return topics.findByWords(context.siteId(), LikePattern.of(words), limit);
  }

  /** All topics, those too that all their groups have left. */
  public List<TopicRow> all(long siteId) {
    return topics.topics(siteId, false);
  }

  /** The topic of that name; it is begun when there is none. */
  public long named(SiteContext context, String name) {
    return topics
        .findTopic(context.siteId(), name)
        .orElseGet(() -> topics.insertTopic(context.siteId(), name));
  }

  /** Counts as a change of the topic, so that an undo sees that its groups have. */
  public void touch(SiteContext context, long id) {
    topics.touchTopic(context.siteId(), id);
  }
}
