package osmerin.core.group;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiPredicate;

/**
 * Words that decide for a group. Of names (models, places, varieties) meaning knows nothing, but
 * where keywords with one of them are answered by the pages of one group, a keyword with it of
 * which few pages are known belongs there too.
 */
final class TellingWords {
  /** Keywords with pages that have the word. */
  private static final int FEWEST = 3;

  /** So many of them are in one group. */
  private static final double MOST_OF_THEM = 0.8;

  private final List<Unit> units;
  private final Map<String, Told> tells = new HashMap<>();

  /** The group for which a word decides, and what share of those with the word is in it. */
  private record Told(int group, double share) {}

  /**
   * @param groupOf the group of each unit by pages, named by its first unit
   */
  TellingWords(List<Unit> units, int[] groupOf) {
    this.units = units;
    Map<String, Map<Integer, Integer>> counts = new HashMap<>();
    for (int unit = 0; unit < groupOf.length; unit++) {
      if (!units.get(unit).hasFewPages()) {
        for (String stem : units.get(unit).stems()) {
          counts
              .computeIfAbsent(stem, s -> new HashMap<>())
              .merge(groupOf[unit], units.get(unit).members().size(), Integer::sum);
        }
      }
    }
    counts.forEach(this::decide);
  }

  private void decide(String stem, Map<Integer, Integer> groups) {
    int all = groups.values().stream().mapToInt(Integer::intValue).sum();
    for (Map.Entry<Integer, Integer> group : groups.entrySet()) {
      if (all >= FEWEST && group.getValue() >= MOST_OF_THEM * all) {
        tells.put(stem, new Told(group.getKey(), (double) group.getValue() / all));
      }
    }
  }

  /**
   * Puts free units where their words tell; what most of a unit's telling words say counts.
   *
   * @param groupOf the group of each unit so far
   * @param may whether a unit may join the group of another
   * @return the same with those units in their groups
   */
  int[] join(int[] groupOf, BiPredicate<Integer, Integer> may) {
    int[] joined = groupOf.clone();
    for (int unit = 0; unit < joined.length; unit++) {
      if (units.get(unit).isFree()) {
        Map<Integer, Double> told = new TreeMap<>();
        for (String stem : units.get(unit).stems()) {
          Told its = tells.get(stem);
          if (its != null) {
            told.merge(its.group(), its.share(), Double::sum);
          }
        }
        int best = best(told);
        if (best >= 0 && best != joined[unit] && may.test(unit, best)) {
          joined[unit] = best;
        }
      }
    }
    return joined;
  }

  /** The group of most; −1 for none, and where two say as much. */
  private static int best(Map<Integer, Double> told) {
    int best = -1;
    double most = 0;
    for (Map.Entry<Integer, Double> group : told.entrySet()) {
      if (group.getValue() > most + 1e-9) {
        best = group.getKey();
        most = group.getValue();
      } else if (group.getValue() > most - 1e-9) {
        best = -1;
      }
    }
    return best;
  }
}
