package osmerin.app.grouping;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import osmerin.app.groups.GroupingChoice;
import osmerin.app.meaning.Meanings;
import osmerin.app.research.KnownKeyword;
import osmerin.app.work.Progress;
import osmerin.core.group.Grouping;
import osmerin.core.group.HeldGroup;
import osmerin.core.group.KeywordGroup;
import osmerin.core.meaning.Meaning;

/**
 * Finds every new keyword of a site its group and every new group its topic, and stores both. What
 * is grouped already stays where it is. On a site that has groups, a keyword that fits none of them
 * and that no ranking page tells anything of waits for a person.
 */
@Component
public class Regrouping {
  private final GroupStoreMapper locks;
  private final GroupingChoice choice;
  private final GroupStore store;
  private final Meanings meanings;

  Regrouping(GroupStoreMapper locks, GroupingChoice choice, GroupStore store, Meanings meanings) {
    this.meanings = meanings;
    this.locks = locks;
    this.choice = choice;
    this.store = store;
  }

  /** As below, with nothing to store beside it. */
  public Map<Long, Placed> place(long siteId, Collection<KnownKeyword> keywords) {
    return place(siteId, keywords, Progress.UNWATCHED, placed -> {});
  }

  /**
   * Groups the keywords and stores the groups and topics, within the caller's transaction.
   *
   * @param keywords all of the site
   * @param progress is told where it takes long
   * @param beside stores where keywords belong, beside the gathering of topics
   * @return where each belongs, by its id, to be stored with it; those that wait are left out
   */
  public Map<Long, Placed> place(
      long siteId,
      Collection<KnownKeyword> keywords,
      Progress progress,
      Consumer<Map<Long, Placed>> beside) {
    Meaning meaning = meanings.watched(progress);
    List<KnownKeyword> taking = keywords.stream().filter(k -> !k.waitsByHand()).toList();
    List<HeldGroup> held = held(siteId, taking);
    List<KeywordGroup> groups =
        new Grouping(choice.settings(siteId), meaning)
            .group(taking.stream().map(KnownKeyword::keyword).toList(), held).stream()
                .filter(group -> held.isEmpty() || !waits(group))
                .toList();
    Map<Long, Placed> placed = new HashMap<>();
    store.storeAll(
        siteId,
        groups,
        meaning,
        ids -> {
          placed.putAll(GroupStore.placed(taking, ids));
          beside.accept(placed);
        });
    return placed;
  }

  private static boolean waits(KeywordGroup group) {
    return group.keptAs() == null
        && group.members().size() == 1
        && group.primary().pages().isEmpty();
  }

  /** Groups as they are held in a run: all that exist, with all their keywords. */
  List<HeldGroup> held(long siteId, Collection<KnownKeyword> keywords) {
    Map<Long, Set<String>> members = new HashMap<>();
    for (KnownKeyword keyword : keywords) {
      if (keyword.groupId() != null) {
        members
            .computeIfAbsent(keyword.groupId(), group -> new HashSet<>())
            .add(keyword.keyword().normal());
      }
    }
    Set<Long> locked = new HashSet<>(locks.lockedGroups(siteId));
    return members.entrySet().stream()
        .map(g -> new HeldGroup(g.getKey().toString(), g.getValue(), locked.contains(g.getKey())))
        .toList();
  }
}
