package osmerin.core.group;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import osmerin.core.linkage.Numbered;
import osmerin.core.linkage.PageIndex;
import osmerin.core.linkage.PageSums;
import osmerin.core.text.WordNumbers;

/**
 * Looks at every unit again when all groups are there. One that pages tie to another group nearly
 * as much as to its own, at least {@value #NEARLY} of it, goes to the group whose words it has.
 * Pages say which groups it may go to, and words decide only between those. A unit that is in no
 * group goes to one when it all but reaches what makes a group.
 */
final class Settling {
  /** How much of the likeness with its own group another group must reach. */
  private static final double NEARLY = 0.6;

  /** How much of what makes a group a unit that is in none must reach. */
  private static final double NEARLY_ENOUGH = 0.7;

  /** How much more of a unit's words, weighed by rarity, another group must have. */
  private static final double BETTER = 0.1;

  private static final int ROUNDS = 2;

  private final PageIndex index;
  private final double least;
  private final int[][] telling;
  private final int[][] unitsOf;
  private final WordNumbers numbers;
  private final int[][] stemsOf;
  private final boolean[] fixed;
  private final boolean[] locked;

  /**
   * @param least mean likeness that makes a group
   * @param fixed units that stay where they are
   * @param locked units whose group no other may enter
   */
  Settling(
      PageIndex index, double least, List<Set<String>> stemsOf, boolean[] fixed, boolean[] locked) {
    this.index = index;
    this.least = least;
    this.fixed = fixed;
    this.locked = locked;
    telling = new int[index.units()][];
    Arrays.setAll(telling, unit -> index.telling(unit, least * NEARLY));
    unitsOf = Numbered.turned(telling, index.pages());
    numbers = new WordNumbers(stemsOf);
    this.stemsOf = stemsOf.stream().map(numbers::of).toArray(int[][]::new);
  }

  /**
   * Settles all units.
   *
   * @param groupOf the group of each unit, named by any number below the number of units
   * @return the same, settled; each group named by its first unit
   */
  int[] settle(int[] groupOf) {
    int[] now = groupOf;
    for (int round = 0; round < ROUNDS; round++) {
      Groups groups = new Groups(now);
      int[] before = now;
      now =
          IntStream.range(0, before.length)
              .parallel()
              .map(unit -> fixed[unit] ? before[unit] : groups.best(unit))
              .toArray();
    }
    return named(now);
  }

  private static int[] named(int[] groupOf) {
    int[] first = new int[groupOf.length];
    Arrays.fill(first, -1);
    int[] named = new int[groupOf.length];
    for (int unit = 0; unit < named.length; unit++) {
      first[groupOf[unit]] = first[groupOf[unit]] < 0 ? unit : first[groupOf[unit]];
      named[unit] = first[groupOf[unit]];
    }
    return named;
  }

  /** The groups as they stand at the beginning of a round. */
  private final class Groups {
    private final int[] groupOf;
    private final int[][] groupsOf;
    private final int[][] members;
    private final Map<Integer, PageSums> sums = new ConcurrentHashMap<>();
    private final Map<Integer, Map<Integer, Integer>> words = new ConcurrentHashMap<>();

    Groups(int[] groupOf) {
      this.groupOf = groupOf;
      members = Numbered.turned(groupOf, groupOf.length);
      groupsOf = new int[unitsOf.length][];
      for (int page = 0; page < unitsOf.length; page++) {
        groupsOf[page] =
            Arrays.stream(unitsOf[page])
                .filter(unit -> !locked[unit])
                .map(unit -> groupOf[unit])
                .sorted()
                .distinct()
                .toArray();
      }
    }

    int best(int unit) {
      int own = groupOf[unit];
      double had = words(unit, own);
      // What the own group has of a word, no other has.
      if (had + BETTER >= 1 - had) {
        return own;
      }
      int[] around = around(unit);
      if (around.length == 0) {
        return own;
      }
      PageSums pages = PageSums.of(index, unit);
      long nearly =
          PageIndex.steps(
              sums(own).units() < 2
                  ? NEARLY_ENOUGH * least
                  : NEARLY * sums(own).meanWithOthers(pages));
      int best = own;
      long most = PageIndex.steps(had + BETTER);
      for (int other : around) {
        long its = PageIndex.steps(words(unit, other));
        if (its > most && PageIndex.steps(sums(other).mean(pages)) >= nearly) {
          best = other;
          most = its;
        }
      }
      return best;
    }

    /** The other groups that have one of the unit's telling pages, in a fixed order. */
    private int[] around(int unit) {
      IntStream.Builder around = IntStream.builder();
      for (int page : telling[unit]) {
        for (int group : groupsOf[page]) {
          if (group != groupOf[unit]) {
            around.add(group);
          }
        }
      }
      return around.build().sorted().distinct().toArray();
    }

    private PageSums sums(int group) {
      return sums.computeIfAbsent(
          group,
          g ->
              PageSums.of(
                  index, Arrays.stream(members[g]).filter(u -> index.mass(u) > 0).toArray()));
    }

    /**
     * How far a unit's words, weighed by rarity, are the group's: of the other units that have a
     * word, the part that is in the group; 0–1.
     */
    private double words(int unit, int group) {
      int self = groupOf[unit] == group ? 1 : 0;
      Map<Integer, Integer> its = words.computeIfAbsent(group, this::count);
      double all = 0;
      double had = 0;
      for (int stem : stemsOf[unit]) {
        int others = numbers.frequency(stem) - 1;
        double weight = Math.log((stemsOf.length + 1.0) / numbers.frequency(stem));
        all += weight;
        had += others == 0 ? 0 : weight * (its.getOrDefault(stem, 0) - self) / others;
      }
      return all == 0 ? 0 : had / all;
    }

    private Map<Integer, Integer> count(int group) {
      Map<Integer, Integer> count = new HashMap<>();
      for (int unit : members[group]) {
        for (int stem : stemsOf[unit]) {
          count.merge(stem, 1, Integer::sum);
        }
      }
      return count;
    }
  }
}
