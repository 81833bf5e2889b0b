package osmerin.core.group;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * Looks at every unit once more when all groups are there: one that its pages put as well into
 * another group goes to the group whose words it has. Pages decide which groups it may go to, and
 * words only between those.
 */
final class Settling {
  /** How much of the likeness by pages with its own group another group must reach. */
  private static final double AS_NEAR = 0.5;

  /** How much of what a group's units share with each other a unit must share to go there. */
  private static final double NEAR_ENOUGH = 0.3;

  /** How much better another group must be. */
  private static final double BETTER = 0.1;

  /** What a lone unit's likeness is measured by: about half its ten pages. */
  private static final double LONE_UNIT = 4;

  private static final int ROUNDS = 2;

  private final PageIndex index;
  private final Neighbours neighbours;
  private final List<Set<String>> stemsOf;
  private final boolean[] fixed;
  private final boolean[] locked;
  private final Map<String, Integer> frequency = new HashMap<>();

  /**
   * @param fixed units that stay where they are
   * @param locked units whose group no other may enter
   */
  Settling(
      PageIndex index,
      Neighbours neighbours,
      List<Set<String>> stemsOf,
      boolean[] fixed,
      boolean[] locked) {
    this.index = index;
    this.neighbours = neighbours;
    this.stemsOf = stemsOf;
    this.fixed = fixed;
    this.locked = locked;
    for (Set<String> stems : stemsOf) {
      stems.forEach(stem -> frequency.merge(stem, 1, Integer::sum));
    }
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
      int[] next = now.clone();
      for (int unit = 0; unit < now.length; unit++) {
        next[unit] = groups.best(unit);
      }
      now = next;
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
    private final Map<Integer, Profile> profiles = new HashMap<>();
    private final Map<Integer, Double> within = new HashMap<>();
    private final Map<Integer, Map<String, Integer>> words = new HashMap<>();

    Groups(int[] groupOf) {
      this.groupOf = groupOf;
      boolean[] asked = new boolean[groupOf.length];
      for (int unit = 0; unit < groupOf.length; unit++) {
        if (isBetween(unit)) {
          asked[groupOf[unit]] = true;
          for (int at = neighbours.from(unit); at < neighbours.to(unit); at++) {
            asked[groupOf[neighbours.unit(at)]] = true;
          }
        }
      }
      for (int unit = 0; unit < groupOf.length; unit++) {
        if (asked[groupOf[unit]] && index.pages(unit).length > 0) {
          profiles.merge(groupOf[unit], Profile.of(index.pages(unit)), Profile::plus);
          Map<String, Integer> its = words.computeIfAbsent(groupOf[unit], g -> new HashMap<>());
          stemsOf.get(unit).forEach(stem -> its.merge(stem, 1, Integer::sum));
        }
      }
      profiles.forEach((group, profile) -> within.put(group, profile.meanWithin()));
    }

    /** Whether a unit is linked with a group that is not its own. */
    private boolean isBetween(int unit) {
      for (int at = neighbours.from(unit); at < neighbours.to(unit); at++) {
        if (groupOf[neighbours.unit(at)] != groupOf[unit]) {
          return !fixed[unit];
        }
      }
      return false;
    }

    int best(int unit) {
      int own = groupOf[unit];
      if (!isBetween(unit)) {
        return own;
      }
      Profile pages = Profile.of(index.pages(unit));
      double near = ratio(profiles.get(own).meanSharedWithOthers(pages), own);
      int best = own;
      double most = profiles.get(own).units() < 2 ? 0 : near + words(unit, own) + BETTER;
      for (int other : around(unit)) {
        double asNear = ratio(profiles.get(other).meanShared(pages), other);
        boolean may = asNear >= NEAR_ENOUGH && asNear >= AS_NEAR * near;
        if (may && asNear + words(unit, other) > most) {
          best = other;
          most = asNear + words(unit, other);
        }
      }
      return best;
    }

    /** The other groups a unit is linked with, in a fixed order. */
    private Set<Integer> around(int unit) {
      Set<Integer> around = new TreeSet<>();
      for (int at = neighbours.from(unit); at < neighbours.to(unit); at++) {
        if (!locked[neighbours.unit(at)]) {
          around.add(groupOf[neighbours.unit(at)]);
        }
      }
      around.remove(groupOf[unit]);
      return around;
    }

    /** Pages shared, measured by what the group's units share with each other; 1 at the most. */
    private double ratio(double mean, int group) {
      double measure = profiles.get(group).units() < 2 ? LONE_UNIT : within.get(group);
      return measure == 0 ? 0 : Math.min(1, mean / measure);
    }

    /** The part of a unit's words, weighed by rarity, that the group's other units have. */
    private double words(int unit, int group) {
      int self = groupOf[unit] == group ? 1 : 0;
      double others = profiles.get(group).units() - self;
      Map<String, Integer> its = words.get(group);
      double all = 0;
      double had = 0;
      for (String stem : stemsOf.get(unit).stream().sorted().toList()) {
        double weight = Math.log(1 + (stemsOf.size() + 1.0) / frequency.get(stem));
        all += weight;
        had += others == 0 ? 0 : weight * (its.getOrDefault(stem, 0) - self) / others;
      }
      return all == 0 ? 0 : had / all;
    }
  }
}
