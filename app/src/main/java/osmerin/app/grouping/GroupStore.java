package osmerin.app.grouping;

import static osmerin.app.platform.data.CopyIn.fields;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Consumer;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.grouping.Rearranging.Place;
import osmerin.app.groups.GroupRow;
import osmerin.app.groups.GroupService;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.research.KnownKeyword;
import osmerin.app.topics.TopicRow;
import osmerin.app.topics.TopicService;
import osmerin.core.group.KeywordGroup;
import osmerin.core.meaning.Meaning;
import osmerin.core.topic.Topic;
import osmerin.core.topic.Topics;

/** Stores groups, the topics they gather into, and which keyword is where and why. */
@Component
public class GroupStore {
  private final GroupStoreMapper store;
  private final GroupService groupService;
  private final TopicService topicService;
  private final CopyIn copy;

  GroupStore(
      GroupStoreMapper store, GroupService groupService, TopicService topicService, CopyIn copy) {
    this.store = store;
    this.groupService = groupService;
    this.topicService = topicService;
    this.copy = copy;
  }

  /**
   * Stores all groups of a site. New ones join the topics they are most alike, or gather into new
   * ones; that is worked out while the rest is stored.
   *
   * @param groups those that exist are named by their id
   * @param meaning null where there is none
   * @param beside stores what needs the groups but not their topics; given the id of each group
   * @return the id of each
   */
  Map<KeywordGroup, Long> storeAll(
      long siteId,
      List<KeywordGroup> groups,
      @Nullable Meaning meaning,
      Consumer<Map<KeywordGroup, Long>> beside) {
    Map<String, Topics.Kept> kept = keptTopics(siteId);
    CompletableFuture<List<Topic>> gathering =
        CompletableFuture.supplyAsync(() -> new Topics(meaning).gather(groups, kept));
    Map<KeywordGroup, Long> groupIds = ids("keyword_group", groups, KeywordGroup::keptAs);
    Map<KeywordGroup, @Nullable Long> topicBefore = topicBefore(groups, kept);
    storeGroups(siteId, groupIds, topicBefore);
    beside.accept(groupIds);
    List<Topic> topics = gathered(gathering);
    Map<Topic, Long> topicIds = ids("topic", topics, Topic::keptAs);
    storeTopics(siteId, topicIds);
    storeJoined(topicIds, groupIds);
    storePillars(topicIds, groupIds);
    return groupIds;
  }

  /** What went wrong beside goes on as it is: a stop stays a stop. */
  private static List<Topic> gathered(CompletableFuture<List<Topic>> gathering) {
    try {
      return gathering.join();
    } catch (CompletionException e) {
      if (e.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      throw e;
    }
  }

  /** The topic of each group that has one already. */
  private static Map<KeywordGroup, @Nullable Long> topicBefore(
      List<KeywordGroup> groups, Map<String, Topics.Kept> kept) {
    Map<String, Long> topicOf = new HashMap<>();
    kept.forEach((id, topic) -> topic.groups().forEach(g -> topicOf.put(g, Long.valueOf(id))));
    Map<KeywordGroup, @Nullable Long> before = new IdentityHashMap<>();
    groups.forEach(group -> before.put(group, topicOf.get(group.keptAs())));
    return before;
  }

  /**
   * Stores some groups.
   *
   * @param topicOf for each group, named by its id, the topic it is in
   * @return the id of each
   */
  Map<KeywordGroup, Long> store(long siteId, Map<KeywordGroup, @Nullable Long> topicOf) {
    Map<KeywordGroup, Long> ids = new IdentityHashMap<>();
    topicOf.keySet().forEach(group -> ids.put(group, Long.valueOf(group.keptAs())));
    storeGroups(siteId, ids, topicOf);
    return ids;
  }

  /** Where each of the keywords is, by its id; those in none of the groups are left out. */
  static Map<Long, Placed> placed(
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

  /** Stores where keywords belong that are stored already, by the id of each. */
  public void storePlaces(Map<Long, Placed> placed) {
    storePlaces(placed, Map.of());
  }

  /**
   * The same, with what was decided for some of them.
   *
   * @param decided by the id of the keyword; the others keep what was decided for them, and one
   *     that is not placed waits
   */
  void storePlaces(Map<Long, Placed> placed, Map<Long, Place> decided) {
    Set<Long> all = new HashSet<>(placed.keySet());
    all.addAll(decided.keySet());
    store.createPlaces();
    copy.rows(
        "incoming_place (keyword_id, pinned, excluded, " + Placed.COLUMNS + ")",
        all,
        id -> {
          Place place = decided.get(id);
          List<@Nullable Object> fields =
              fields(
                  id,
                  place == null ? null : place.pinned(),
                  place == null ? null : place.excluded());
          fields.addAll(Placed.fields(placed.get(id)));
          return fields;
        });
    store.applyPlaces();
  }

  private Map<String, Topics.Kept> keptTopics(long siteId) {
    Map<Long, Set<String>> groups = new HashMap<>();
    for (GroupRow group : groupService.rows(siteId)) {
      if (group.topicId() != null) {
        groups
            .computeIfAbsent(group.topicId(), t -> new HashSet<>())
            .add(String.valueOf(group.id()));
      }
    }
    Map<String, Topics.Kept> kept = new HashMap<>();
    for (TopicRow topic : topicService.all(siteId)) {
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
    Iterator<Long> free = copy.ids(table, fresh).iterator();
    Map<T, Long> ids = new IdentityHashMap<>();
    for (T thing : things) {
      String key = keptAs.apply(thing);
      ids.put(thing, key == null ? free.next() : Long.valueOf(key));
    }
    return ids;
  }

  private void storeTopics(long siteId, Map<Topic, Long> ids) {
    copy.rows(
        "topic (id, site_id, name)",
        ids.keySet().stream().filter(topic -> topic.keptAs() == null).toList(),
        topic -> fields(ids.get(topic), siteId, topic.name()));
  }

  private void storeJoined(Map<Topic, Long> topicIds, Map<KeywordGroup, Long> groupIds) {
    Map<String, Long> named = new HashMap<>();
    topicIds.forEach((topic, id) -> named.putIfAbsent(topic.name(), id));
    List<List<@Nullable Object>> joined = new ArrayList<>();
    topicIds.forEach(
        (topic, id) ->
            topic
                .places()
                .forEach(
                    place ->
                        joined.add(
                            fields(
                                groupIds.get(place.group()),
                                id,
                                Placed.rounded(place.near()),
                                place.words(),
                                place.alsoFits() == null ? null : named.get(place.alsoFits())))));
    store.createJoined();
    copy.rows("joined (group_id, topic_id, near, words, also)", joined, fields -> fields);
    store.applyJoined();
  }

  /** After the groups, since a pillar is one. */
  private void storePillars(Map<Topic, Long> topicIds, Map<KeywordGroup, Long> groupIds) {
    store.createPillars();
    copy.rows(
        "pillar (topic_id, group_id)",
        topicIds.keySet(),
        topic -> fields(topicIds.get(topic), groupIds.get(topic.pillar())));
    store.applyPillars();
  }

  private void storeGroups(
      long siteId, Map<KeywordGroup, Long> ids, Map<KeywordGroup, @Nullable Long> topicOf) {
    store.createGroups();
    copy.rows(
        "incoming_group (id, topic_id, name, keywords, searches, searches_low, searches_high,"
            + " at_least, difficulty, intent, funnel_stage, intent_reason, primary_normal)",
        ids.keySet(),
        g ->
            fields(
                ids.get(g),
                topicOf.get(g),
                g.primary().text(),
                g.members().size(),
                g.demand().searches(),
                g.demand().volume() == null ? null : g.demand().volume().low(),
                g.demand().volume() == null ? null : g.demand().volume().high(),
                g.demand().atLeast(),
                g.demand().difficulty(),
                g.intent(),
                g.funnelStage(),
                g.intentReason(),
                g.primary().normal()));
    store.applyGroups();
    store.insertNewGroups(siteId);
  }

  /** Says of those of these groups that all keywords have left that they have none. */
  void sayEmpty(long siteId, Collection<Long> ids) {
    store.emptyGroups(siteId, List.copyOf(ids));
  }

  /** Removes the groups and topics that an undone import leaves without keywords. */
  public void removeEmpty(long siteId) {
    store.freeArticles(siteId);
    store.removeEmptyGroups(siteId);
    store.emptyGroups(siteId, null);
    store.removeEmptyTopics(siteId);
  }
}
