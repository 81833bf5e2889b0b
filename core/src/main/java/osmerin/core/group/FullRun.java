package osmerin.core.group;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Meaning;

/**
 * All keywords regrouped. What a person pinned or locked stays; every other keyword goes where its
 * pages and words say. A group of the result continues the standing group that it shares most
 * keywords with, so that names, articles and topics stay with what they were made for; each
 * standing group is continued once.
 *
 * @param groups all groups in order of demand; {@link KeywordGroup#keptAs()} is the standing group
 *     that each continues
 * @param moves what would change its group, in order of volume
 * @param ended standing groups that no group continues
 */
public record FullRun(List<KeywordGroup> groups, List<Move> moves, Set<String> ended) {
  /**
   * A keyword that changes its group.
   *
   * @param from the standing group it leaves, null when it was in none
   */
  public record Move(Keyword keyword, @Nullable String from, KeywordGroup to) {}

  public FullRun {
    groups = List.copyOf(groups);
    moves = List.copyOf(moves);
    ended = Set.copyOf(ended);
  }

  /** Where pages are missing spelling decides. */
  public static FullRun of(
      GroupingSettings settings, Collection<Keyword> keywords, Collection<StandingGroup> standing) {
    return of(settings, null, keywords, standing);
  }

  /**
   * Regroups; neither the order of keywords nor that of groups changes the result.
   *
   * @param meaning null where there is none
   */
  public static FullRun of(
      GroupingSettings settings,
      @Nullable Meaning meaning,
      Collection<Keyword> keywords,
      Collection<StandingGroup> standing) {
    List<HeldGroup> held =
        standing.stream().map(StandingGroup::held).filter(h -> !h.members().isEmpty()).toList();
    List<KeywordGroup> groups =
        continuing(new Grouping(settings, meaning).group(keywords, held), standing);
    Map<String, String> homes = homes(standing);
    List<Move> moves = new ArrayList<>();
    Set<String> ended = new HashSet<>();
    standing.forEach(group -> ended.add(group.key()));
    for (KeywordGroup group : groups) {
      ended.remove(group.keptAs());
      for (Membership member : group.members()) {
        String from = homes.get(member.keyword().normal());
        if (from == null || !from.equals(group.keptAs())) {
          moves.add(new Move(member.keyword(), from, group));
        }
      }
    }
    moves.sort(Comparator.comparing(Move::keyword, Grouping.PRIMARY_FIRST));
    return new FullRun(groups, moves, ended);
  }

  private static Map<String, String> homes(Collection<StandingGroup> standing) {
    Map<String, String> homes = new HashMap<>();
    standing.forEach(group -> group.members().forEach(m -> homes.put(m, group.key())));
    return homes;
  }

  /** A group of the result and a standing group, with the keywords they have in common. */
  private record Common(int group, String key, int keywords) {}

  private static List<KeywordGroup> continuing(
      List<KeywordGroup> groups, Collection<StandingGroup> standing) {
    Map<String, String> homes = homes(standing);
    Set<String> taken = new HashSet<>();
    groups.stream().map(KeywordGroup::keptAs).filter(Objects::nonNull).forEach(taken::add);
    List<Common> commons = new ArrayList<>();
    for (int i = 0; i < groups.size(); i++) {
      if (groups.get(i).keptAs() == null) {
        Map<String, Integer> counts = new HashMap<>();
        for (Membership member : groups.get(i).members()) {
          String home = homes.get(member.keyword().normal());
          if (home != null && !taken.contains(home)) {
            counts.merge(home, 1, Integer::sum);
          }
        }
        int group = i;
        counts.forEach((key, n) -> commons.add(new Common(group, key, n)));
      }
    }
    commons.sort(
        Comparator.<Common>comparingInt(c -> -c.keywords())
            .thenComparingInt(Common::group)
            .thenComparing(Common::key));
    List<KeywordGroup> result = new ArrayList<>(groups);
    for (Common common : commons) {
      KeywordGroup group = result.get(common.group());
      if (group.keptAs() == null && taken.add(common.key())) {
        result.set(common.group(), group.continuing(common.key()));
      }
    }
    return result;
  }
}
