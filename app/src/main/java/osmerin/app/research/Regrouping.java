package osmerin.app.research;

import static osmerin.app.research.ImportService.fields;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.platform.data.CopyIn;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.Membership;
import osmerin.core.group.Membership.Neighbour;
import osmerin.core.topic.Topic;
import osmerin.core.topic.Topics;

/**
 * Finds every new keyword of a site its group and every new group its topic, and stores both. What
 * is grouped already stays where it is.
 */
@Component
class Regrouping {
  private final ResearchMapper research;
  private final CopyIn copy;

  Regrouping(ResearchMapper research, CopyIn copy) {
    this.research = research;
    this.copy = copy;
  }

  /** A keyword in its group. */
  record Placed(long keywordId, long groupId, Membership membership) {
    /** In the order of {@link #COLUMNS}. */
    List<@Nullable Object> fields() {
      return ImportService.fields(
          groupId,
          membership.basis(),
          membership.sharedWithPrimary(),
          membership.nearest().stream().map(n -> n.keyword().text()).toList(),
          membership.nearest().stream().map(Neighbour::sharedPages).toList(),
          membership.sharedWords().stream().sorted().toList());
    }
  }

  /** The columns that say where a keyword belongs and why. */
  static final String COLUMNS =
      "group_id, basis, shared_with_primary, nearest, nearest_shared, shared_words";

  /**
   * Groups the keywords and stores the groups and topics, within the caller's transaction.
   *
   * @param keywords all of the site
   * @return where each belongs, by its id; to be stored with it
   */
  Map<Long, Placed> place(long siteId, Collection<KnownKeyword> keywords) {
    List<KeywordGroup> groups =
        new Grouping(GroupingSettings.DEFAULT)
            .group(keywords.stream().map(KnownKeyword::keyword).toList(), keptGroups(keywords));
    List<Topic> topics = new Topics().gather(groups, keptTopics(siteId));
    Map<KeywordGroup, Long> groupIds = ids("keyword_group", groups, KeywordGroup::keptAs);
    Map<Topic, Long> topicIds = ids("topic", topics, Topic::keptAs);
    storeTopics(siteId, topicIds);
    storeGroups(siteId, groupIds, topicOf(topicIds));
    storePillars(topicIds, groupIds);
    return placed(keywords, groupIds);
  }

  private static Map<Long, Placed> placed(
      Collection<KnownKeyword> keywords, Map<KeywordGroup, Long> groupIds) {
    Map<String, Long> keywordIds = new HashMap<>();
    keywords.forEach(k -> keywordIds.put(k.keyword().normal(), k.id()));
    Map<Long, Placed> placed = new HashMap<>();
    groupIds.forEach(
        (group, id) ->
            group
                .members()
                .forEach(
                    m -> {
                      long keyword = keywordIds.get(m.keyword().normal());
                      placed.put(keyword, new Placed(keyword, id, m));
                    }));
    return placed;
  }

  /** Stores where keywords belong that are stored already. */
  void store(Collection<Placed> placed) {
    research.createMemberships();
    copy.rows(
        "membership (keyword_id, " + COLUMNS + ")",
        placed,
        p -> {
          List<@Nullable Object> fields = fields(p.keywordId());
          fields.addAll(p.fields());
          return fields;
        });
    research.applyMemberships();
  }

  private static Map<String, Set<String>> keptGroups(Collection<KnownKeyword> keywords) {
    Map<String, Set<String>> kept = new HashMap<>();
    for (KnownKeyword keyword : keywords) {
      if (keyword.groupId() != null) {
        kept.computeIfAbsent(keyword.groupId().toString(), group -> new HashSet<>())
            .add(keyword.keyword().normal());
      }
    }
    return kept;
  }

  private Map<String, Topics.Kept> keptTopics(long siteId) {
    Map<Long, Set<String>> groups = new HashMap<>();
    for (ResearchMapper.GroupRow group : research.groups(siteId, null, true)) {
      if (group.topicId() != null) {
        groups
            .computeIfAbsent(group.topicId(), t -> new HashSet<>())
            .add(String.valueOf(group.id()));
      }
    }
    Map<String, Topics.Kept> kept = new HashMap<>();
    for (ResearchMapper.TopicRow topic : research.topics(siteId)) {
      String pillar = topic.pillarGroupId() == null ? null : topic.pillarGroupId().toString();
      kept.put(
          String.valueOf(topic.id()),
          new Topics.Kept(topic.name(), pillar, groups.getOrDefault(topic.id(), Set.of())));
    }
    return kept;
  }

  /** The id of what was there, or the next free one. */
  private <T> Map<T, Long> ids(String table, List<T> things, Function<T, @Nullable String> keptAs) {
    int fresh = (int) things.stream().filter(thing -> keptAs.apply(thing) == null).count();
    Iterator<Long> free = research.takeIds(table, fresh).iterator();
    Map<T, Long> ids = new IdentityHashMap<>();
    for (T thing : things) {
      String key = keptAs.apply(thing);
      ids.put(thing, key == null ? free.next() : Long.valueOf(key));
    }
    return ids;
  }

  private static Map<KeywordGroup, Long> topicOf(Map<Topic, Long> topicIds) {
    Map<KeywordGroup, Long> topicOf = new IdentityHashMap<>();
    topicIds.forEach((topic, id) -> topic.groups().forEach(group -> topicOf.put(group, id)));
    return topicOf;
  }

  private void storeTopics(long siteId, Map<Topic, Long> ids) {
    copy.rows(
        "topic (id, site_id, name)",
        ids.keySet().stream().filter(topic -> topic.keptAs() == null).toList(),
        topic -> fields(ids.get(topic), siteId, topic.name()));
  }

  /** After the groups, since a pillar is one. */
  private void storePillars(Map<Topic, Long> topicIds, Map<KeywordGroup, Long> groupIds) {
    research.createPillars();
    copy.rows(
        "pillar (topic_id, group_id)",
        topicIds.keySet(),
        topic -> fields(topicIds.get(topic), groupIds.get(topic.pillar())));
    research.applyPillars();
  }

  private void storeGroups(
      long siteId, Map<KeywordGroup, Long> ids, Map<KeywordGroup, Long> topicOf) {
    research.createGroups();
    copy.rows(
        "incoming_group (id, topic_id, name, keywords, searches, at_least, difficulty, intent,"
            + " funnel_stage, intent_reason)",
        ids.keySet(),
        g ->
            fields(
                ids.get(g),
                topicOf.get(g),
                g.primary().text(),
                g.members().size(),
                g.demand().searches(),
                g.demand().atLeast(),
                g.demand().difficulty(),
                g.intent(),
                g.funnelStage(),
                g.intentReason()));
    research.applyGroups();
    research.insertNewGroups(siteId);
  }
}
