package osmerin.core.group;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import osmerin.core.intent.SearchIntent;
import osmerin.core.text.WordNumbers;

/**
 * Finds, among the units added so far, the one whose words are most alike: the weighted Jaccard
 * measure of their stems, a stem weighing the more the rarer it is. Looks only at the units that
 * share one of the phrase's two rarest stems, so that common words cost nothing.
 */
final class WordIndex {
  /** At least this much of the weight of all words of two phrases must be shared. */
  private static final double ALIKE = 0.5;

  private static final int NONE = -1;

  /** The numbers of a unit's stems, ascending; stems are numbered by their spelling. */
  private final int[][] stemsOf;

  private final List<SearchIntent> intentOf;
  private final WordNumbers numbers;
  private final double[] weight;
  private final double[] weightOf;
  private final IntList[] added;
  private final int[] turn;
  private final int[] seen;
  private int turns;
  private int stamp;

  WordIndex(List<Set<String>> stemsOf, List<SearchIntent> intentOf) {
    numbers = new WordNumbers(stemsOf);
    this.stemsOf = stemsOf.stream().map(numbers::of).toArray(int[][]::new);
    this.intentOf = intentOf;
    weight = new double[numbers.size()];
    Arrays.setAll(weight, stem -> Math.log(1 + (stemsOf.size() + 1.0) / numbers.frequency(stem)));
    weightOf = new double[this.stemsOf.length];
    Arrays.setAll(
        weightOf, unit -> Arrays.stream(this.stemsOf[unit]).mapToDouble(s -> weight[s]).sum());
    added = new IntList[numbers.size()];
    turn = new int[this.stemsOf.length];
    seen = new int[this.stemsOf.length];
  }

  /** Numbers in the order in which they were added. */
  private static final class IntList {
    private int[] numbers = new int[4];
    private int size;

    void add(int number) {
      if (size == numbers.length) {
        numbers = Arrays.copyOf(numbers, 2 * size);
      }
      numbers[size++] = number;
    }
  }

  void add(int unit) {
    turn[unit] = turns++;
    for (int stem : rarest(unit)) {
      if (added[stem] == null) {
        added[stem] = new IntList();
      }
      added[stem].add(unit);
    }
  }

  /** The unit most alike, the first added at a tie; never one of opposite intent. */
  OptionalInt nearest(int unit) {
    stamp++;
    int best = -1;
    double most = 0;
    for (int stem : rarest(unit)) {
      IntList units = added[stem];
      for (int i = 0; units != null && i < units.size; i++) {
        int other = units.numbers[i];
        if (seen[other] != stamp) {
          seen[other] = stamp;
          double likeness = likeness(unit, other);
          boolean first =
              likeness > most || (likeness == most && best >= 0 && turn[other] < turn[best]);
          if (first && !intentOf.get(unit).isOpposite(intentOf.get(other))) {
            best = other;
            most = likeness;
          }
        }
      }
    }
    return most >= ALIKE ? OptionalInt.of(best) : OptionalInt.empty();
  }

  /** The two rarest stems, the first in spelling at a tie. */
  private int[] rarest(int unit) {
    int[] stems = stemsOf[unit];
    if (stems.length <= 2) {
      return stems;
    }
    int first = stems[0];
    int second = NONE;
    for (int i = 1; i < stems.length; i++) {
      if (numbers.frequency(stems[i]) < numbers.frequency(first)) {
        second = first;
        first = stems[i];
      } else if (second == NONE || numbers.frequency(stems[i]) < numbers.frequency(second)) {
        second = stems[i];
      }
    }
    return new int[] {first, second};
  }

  private double likeness(int unit, int other) {
    int[] mine = stemsOf[unit];
    int[] theirs = stemsOf[other];
    double shared = 0;
    for (int i = 0, j = 0; i < mine.length && j < theirs.length; ) {
      if (mine[i] == theirs[j]) {
        shared += weight[mine[i]];
        i++;
        j++;
      } else if (mine[i] < theirs[j]) {
        i++;
      } else {
        j++;
      }
    }
    return shared / (weightOf[unit] + weightOf[other] - shared);
  }
}
