package osmerin.core.group;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import osmerin.core.intent.SearchIntent;

/**
 * Finds, among the units added so far, the one whose words are most alike: the weighted Jaccard
 * measure of their stems, a stem weighing the more the rarer it is. Looks only at the units that
 * share one of the phrase's two rarest stems, so that common words cost nothing.
 */
final class WordIndex {
  /** At least this much of the weight of all words of two phrases must be shared. */
  private static final double ALIKE = 0.5;

  private static final int STEMS_LOOKED_UP = 2;

  private final List<Set<String>> stemsOf;
  private final List<SearchIntent> intentOf;
  private final Map<String, Integer> frequency = new HashMap<>();
  private final Map<String, List<Integer>> added = new HashMap<>();

  WordIndex(List<Set<String>> stemsOf, List<SearchIntent> intentOf) {
    this.stemsOf = stemsOf;
    this.intentOf = intentOf;
    for (Set<String> stems : stemsOf) {
      stems.forEach(stem -> frequency.merge(stem, 1, Integer::sum));
    }
  }

  void add(int unit) {
    for (String stem : rarest(unit)) {
      added.computeIfAbsent(stem, s -> new ArrayList<>()).add(unit);
    }
  }

  /** The unit most alike, the earliest at a tie; never one of opposite intent. */
  OptionalInt nearest(int unit) {
    Set<Integer> candidates = new HashSet<>();
    rarest(unit).forEach(stem -> candidates.addAll(added.getOrDefault(stem, List.of())));
    int best = -1;
    double bestLikeness = 0;
    for (int other : candidates) {
      double likeness =
          intentOf.get(unit).isOpposite(intentOf.get(other)) ? 0 : likeness(unit, other);
      if (likeness > bestLikeness || (likeness == bestLikeness && best > other)) {
        best = other;
        bestLikeness = likeness;
      }
    }
    return bestLikeness >= ALIKE ? OptionalInt.of(best) : OptionalInt.empty();
  }

  private List<String> rarest(int unit) {
    return stemsOf.get(unit).stream()
        .sorted(Comparator.<String>comparingInt(frequency::get).thenComparing(stem -> stem))
        .limit(STEMS_LOOKED_UP)
        .toList();
  }

  private double likeness(int unit, int other) {
    Set<String> mine = stemsOf.get(unit);
    Set<String> theirs = stemsOf.get(other);
    Set<String> both = new HashSet<>(mine);
    both.retainAll(theirs);
    double shared = weight(both);
    return shared / (weight(mine) + weight(theirs) - shared);
  }

  private double weight(Collection<String> stems) {
    double all = stemsOf.size() + 1.0;
    return stems.stream().sorted().mapToDouble(s -> Math.log(1 + all / frequency.get(s))).sum();
  }
}
