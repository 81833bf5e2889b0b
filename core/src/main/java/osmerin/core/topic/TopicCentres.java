package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * How near groups are to sets of groups: the cosine with the sum of those that stand for the set,
 * each counting as many times as it has keywords.
 */
final class TopicCentres {
  /** So many groups of a set stand for it, those with most keywords. */
  private static final int STANDING_FOR_ALL = 24;

  private final Likeness likeness;
  private final int[] size;
  private final Map<Integer, List<Integer>> standing = new TreeMap<>();
  private final Map<Integer, Double> length = new HashMap<>();

  /**
   * @param size the number of keywords of each group
   * @param setOf the set of each group; below 0 for a group in none
   */
  TopicCentres(Likeness likeness, int[] size, int[] setOf) {
    this.likeness = likeness;
    this.size = size;
    for (int group = 0; group < setOf.length; group++) {
      if (setOf[group] >= 0) {
        standing.computeIfAbsent(setOf[group], s -> new ArrayList<>()).add(group);
      }
    }
    standing.replaceAll(
        (set, its) ->
            its.stream()
                .sorted(Comparator.comparingInt((Integer group) -> -size[group]))
                .limit(STANDING_FOR_ALL)
                .toList());
    standing.forEach((set, its) -> length.put(set, length(its)));
  }

  private double length(List<Integer> groups) {
    double squares = 0;
    for (int a : groups) {
      for (int b : groups) {
        squares += size[a] * size[b] * (a == b ? 1 : likeness.of(a, b));
      }
    }
    return Math.sqrt(squares);
  }

  /** How near a group is to the other groups of a set, 0–1; 0 where there are none. */
  double near(int group, int set) {
    double sum = 0;
    double own = 0;
    for (int other : standing.getOrDefault(set, List.of())) {
      if (other == group) {
        own = size[group];
      } else {
        sum += size[other] * likeness.of(group, other);
      }
    }
    double whole = length.getOrDefault(set, 0.0);
    // Without the group itself: |v - g|² = |v|² - 2 v·g + |g|².
    double squares = whole * whole - 2 * own * (sum + own) + own * own;
    return squares <= 1e-12 ? 0 : Math.min(1, sum / Math.sqrt(squares));
  }
}
