package osmerin.app.grouping;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.groups.GroupService;
import osmerin.app.groups.GroupState;
import osmerin.app.groups.GroupingChoice;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.research.SiteNearness;
import osmerin.core.group.Grouping;
import osmerin.core.group.KeywordGroup;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Nearness;
import osmerin.core.topic.Topics;

/**
 * Puts keywords into other groups and works out again what is to be known of the groups that they
 * leave and enter: demand, intent, why each is there, and the pillars of their topics.
 */
@Component
public class Rearranging {
  private final HandEditMapper edits;
  private final SiteKeywords siteKeywords;
  private final GroupService groupService;
  private final GroupingChoice choice;
  private final GroupStore store;
  private final SiteNearness nearness;

  Rearranging(
      HandEditMapper edits,
      SiteKeywords siteKeywords,
      GroupService groupService,
      GroupingChoice choice,
      GroupStore store,
      SiteNearness nearness) {
    this.nearness = nearness;
    this.edits = edits;
    this.siteKeywords = siteKeywords;
    this.groupService = groupService;
    this.choice = choice;
    this.store = store;
  }

  /**
   * Where a keyword is to be.
   *
   * @param groupId null when it is to wait
   * @param pinned whether it stays there in later runs
   * @param excluded whether it is out of sight; then it is in no group, and pinned
   */
  public record Place(@Nullable Long groupId, boolean pinned, boolean excluded) {
    public static final Place EXCLUDED = new Place(null, true, true);

    /** Where a person wants it: in a group, or waiting. */
    static Place byHand(@Nullable Long groupId) {
      return new Place(groupId, true, false);
    }

    /** Where a run puts it. */
    static Place byRun(long groupId) {
      return new Place(groupId, false, false);
    }

    /** Whether it is seen in the same group. */
    boolean sameAs(Place other) {
      return Objects.equals(groupId, other.groupId()) && excluded == other.excluded();
    }
  }

  /**
   * Rearranges, within the caller's transaction.
   *
   * @param wanted for each keyword that is to be elsewhere, by its id
   * @param left the groups that any of them is in now
   * @param topicOfNew the topic of each group that does not exist yet, by the id it is to have
   */
  public void apply(
      long siteId, Map<Long, Place> wanted, Set<Long> left, Map<Long, @Nullable Long> topicOfNew) {
    Set<Long> touched = new HashSet<>(left);
    wanted.values().stream().map(Place::groupId).filter(id -> id != null).forEach(touched::add);
    List<KnownKeyword> keywords =
        siteKeywords.of(siteId, List.copyOf(touched), List.copyOf(wanted.keySet()));
    Map<KeywordGroup, @Nullable Long> topicOf =
        topics(siteId, described(siteId, keywords, wanted), topicOfNew);
    Map<KeywordGroup, Long> ids = store.store(siteId, topicOf);
    store.storePlaces(GroupStore.placed(keywords, ids), wanted);
    store.sayEmpty(siteId, List.copyOf(touched));
    choosePillars(siteId);
  }

  private List<KeywordGroup> described(
      long siteId, Collection<KnownKeyword> keywords, Map<Long, Place> wanted) {
    Map<Long, List<Keyword>> members = new TreeMap<>();
    for (KnownKeyword keyword : keywords) {
      Place place = wanted.get(keyword.id());
      Long group = place == null ? keyword.groupId() : place.groupId();
      if (group != null) {
        members.computeIfAbsent(group, g -> new ArrayList<>()).add(keyword.keyword());
      }
    }
    Grouping grouping = new Grouping(choice.settings(siteId));
    Nearness near =
        members.values().stream().flatMap(List::stream).anyMatch(Grouping::hasFewPages)
            ? nearness.of(siteId)
            : null;
    return members.entrySet().stream()
        .map(g -> grouping.describe(g.getKey().toString(), g.getValue(), near))
        .toList();
  }

  private Map<KeywordGroup, @Nullable Long> topics(
      long siteId, List<KeywordGroup> groups, Map<Long, @Nullable Long> topicOfNew) {
    Map<Long, GroupState> states =
        groupService
            .states(siteId, groups.stream().map(g -> Long.valueOf(g.keptAs())).toList())
            .stream()
            .collect(Collectors.toMap(GroupState::id, state -> state));
    Map<KeywordGroup, @Nullable Long> topicOf = new IdentityHashMap<>();
    for (KeywordGroup group : groups) {
      Long id = Long.valueOf(group.keptAs());
      GroupState state = states.get(id);
      topicOf.put(group, state == null ? topicOfNew.get(id) : state.topicId());
    }
    return topicOf;
  }

  /** A topic whose pillar has gone gets the one that would be chosen for it today. */
  void choosePillars(long siteId) {
    Grouping grouping = new Grouping(choice.settings(siteId));
    for (long topic : edits.topicsWithoutPillar(siteId)) {
      Map<Long, List<Keyword>> members = new HashMap<>();
      siteKeywords
          .of(siteId, edits.groupsOfTopic(siteId, topic), List.of())
          .forEach(
              k -> members.computeIfAbsent(k.groupId(), g -> new ArrayList<>()).add(k.keyword()));
      List<KeywordGroup> groups = new ArrayList<>();
      members.forEach((id, its) -> groups.add(grouping.describe(id.toString(), its, null)));
      edits.setPillar(topic, Long.valueOf(new Topics().pillar(groups).keptAs()));
    }
  }
}
