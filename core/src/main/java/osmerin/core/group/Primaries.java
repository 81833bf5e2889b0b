package osmerin.core.group;

import java.util.Arrays;
import java.util.OptionalInt;
import osmerin.core.linkage.PageIndex;

/** The primary keywords of strict mode as they are found, and which of them a unit is most like. */
final class Primaries {
  private final PageIndex index;
  private final double least;
  private final int[][] of;
  private final int[] count;
  private final int[] turn;
  private final int[] seen;
  private int turns;
  private int asked;

  /**
   * @param least likeness of a unit with its primary keyword, 0–10
   */
  Primaries(PageIndex index, double least) {
    this.index = index;
    this.least = least;
    of = new int[index.pages()][];
    count = new int[index.pages()];
    turn = new int[index.units()];
    seen = new int[index.units()];
  }

  void add(int unit) {
    turn[unit] = turns++;
    for (int page : index.telling(unit, least)) {
      if (of[page] == null) {
        of[page] = new int[2];
      } else if (count[page] == of[page].length) {
        of[page] = Arrays.copyOf(of[page], 2 * count[page]);
      }
      of[page][count[page]++] = unit;
    }
  }

  /** Of the primary keywords like enough the one of most shared weight, the first at a tie. */
  OptionalInt nearest(int unit) {
    asked++;
    int best = -1;
    int most = 0;
    for (int page : index.telling(unit, least)) {
      for (int i = 0; i < count[page]; i++) {
        int primary = of[page][i];
        if (seen[primary] != asked) {
          seen[primary] = asked;
          int shared = index.shared(unit, primary);
          boolean first =
              shared > most || shared == most && best >= 0 && turn[primary] < turn[best];
          if (first && index.likeness(unit, primary) >= least) {
            best = primary;
            most = shared;
          }
        }
      }
    }
    return best < 0 ? OptionalInt.empty() : OptionalInt.of(best);
  }
}
