package osmerin.core.meaning;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Finds which of many profiles are near each other. Some thousand are compared each with each; of
 * more, each with those in the cells around it: cells are those that some of them, spread over all,
 * are the nearest to (an inverted file, J. Sivic and A. Zisserman, "Video Google", ICCV 2003). So
 * the cost of n profiles is about n · √n. Profiles without meaning are compared with those that
 * share a rare trigram.
 */
public final class NearPairs {
  /** Up to so many are compared each with each. */
  private static final int EACH_WITH_EACH = 6_000;

  /** The cells around a profile. */
  private static final int CELLS_AROUND = 12;

  /** Of each so many of the nearest are kept. */
  private static final int KEPT = 64;

  /** A trigram of more profiles than these tells nothing. */
  private static final int MOST_OF_A_TRIGRAM = 500;

  private final Nearness nearness;
  private final List<Profile> profiles;
  private final double least;

  private NearPairs(Nearness nearness, List<Profile> profiles, double least) {
    this.nearness = nearness;
    this.profiles = profiles;
    this.least = least;
  }

  /**
   * For each profile the others that are at least so near, by number.
   *
   * @param least above 0
   */
  public static int[][] of(Nearness nearness, List<Profile> profiles, double least) {
    return new NearPairs(nearness, profiles, least).find();
  }

  private int[][] find() {
    int[] meant =
        IntStream.range(0, profiles.size())
            .filter(i -> profiles.get(i).meaning() != null)
            .toArray();
    int[] spelled =
        IntStream.range(0, profiles.size())
            .filter(i -> profiles.get(i).meaning() == null)
            .toArray();
    int[][] nearest = new int[profiles.size()][];
    Cells cells = meant.length <= EACH_WITH_EACH ? null : new Cells(meant);
    Arrays.stream(meant)
        .parallel()
        .forEach(
            i -> nearest[i] = nearest(i, cells == null ? Arrays.stream(meant) : cells.around(i)));
    Map<Long, int[]> withTrigram = withTrigram(spelled);
    Arrays.stream(spelled)
        .parallel()
        .forEach(i -> nearest[i] = nearest(i, sharingTrigram(i, withTrigram)));
    return symmetric(nearest);
  }

  /** The nearest of the others that are near enough. */
  private int[] nearest(int i, IntStream others) {
    Profile mine = profiles.get(i);
    Nearest nearest = new Nearest();
    others.forEach(
        j -> {
          if (j != i) {
            double its = nearness.ofAtLeast(mine, profiles.get(j), least);
            if (its >= least) {
              nearest.offer(j, its);
            }
          }
        });
    return nearest.sorted();
  }

  /** The nearest of those offered, the first by number at a tie. */
  private static final class Nearest {
    private final int[] others = new int[KEPT];
    private final double[] nearness = new double[KEPT];
    private int size;

    void offer(int other, double near) {
      if (size == KEPT && !isBefore(other, near, size - 1)) {
        return;
      }
      int at = size == KEPT ? size - 1 : size++;
      while (at > 0 && isBefore(other, near, at - 1)) {
        others[at] = others[at - 1];
        nearness[at] = nearness[at - 1];
        at--;
      }
      others[at] = other;
      nearness[at] = near;
    }

    private boolean isBefore(int other, double near, int at) {
      return near > nearness[at] || near == nearness[at] && other < others[at];
    }

    int[] sorted() {
      return Arrays.stream(others, 0, size).sorted().toArray();
    }
  }

  private Map<Long, int[]> withTrigram(int[] spelled) {
    Map<Long, IntStream.Builder> building = new HashMap<>();
    for (int i : spelled) {
      for (long trigram : profiles.get(i).trigrams()) {
        building.computeIfAbsent(trigram, t -> IntStream.builder()).add(i);
      }
    }
    Map<Long, int[]> result = new HashMap<>();
    building.forEach((trigram, its) -> result.put(trigram, its.build().toArray()));
    result.values().removeIf(its -> its.length > MOST_OF_A_TRIGRAM);
    return result;
  }

  private IntStream sharingTrigram(int i, Map<Long, int[]> withTrigram) {
    return Arrays.stream(profiles.get(i).trigrams())
        .mapToObj(trigram -> withTrigram.getOrDefault(trigram, new int[0]))
        .flatMapToInt(Arrays::stream)
        .distinct();
  }

  /** Each pair that is among the nearest of either, under both, in order of number. */
  private static int[][] symmetric(int[][] nearest) {
    List<IntStream.Builder> pairs = new ArrayList<>();
    for (int i = 0; i < nearest.length; i++) {
      pairs.add(IntStream.builder());
    }
    for (int i = 0; i < nearest.length; i++) {
      for (int other : nearest[i]) {
        pairs.get(i).add(other);
        pairs.get(other).add(i);
      }
    }
    return pairs.parallelStream()
        .map(its -> its.build().sorted().distinct().toArray())
        .toArray(int[][]::new);
  }

  /** Profiles by the cell they are in. */
  private final class Cells {
    private final int[] centres;
    private final int[][] around;
    private final int[][] members;

    Cells(int[] meant) {
      int count = (int) Math.sqrt(meant.length);
      centres =
          IntStream.range(0, count)
              .map(c -> meant[(int) ((long) c * meant.length / count)])
              .toArray();
      around = new int[profiles.size()][];
      Arrays.stream(meant).parallel().forEach(i -> around[i] = nearestCells(i));
      List<IntStream.Builder> building = new ArrayList<>();
      IntStream.range(0, count).forEach(c -> building.add(IntStream.builder()));
      for (int i : meant) {
        building.get(around[i][0]).add(i);
      }
      members = building.stream().map(its -> its.build().toArray()).toArray(int[][]::new);
    }

    private int[] nearestCells(int i) {
      Profile mine = profiles.get(i);
      double[] product = new double[centres.length];
      Arrays.setAll(product, c -> mine.meant(profiles.get(centres[c])));
      return IntStream.range(0, centres.length)
          .boxed()
          .sorted(Comparator.comparingDouble(c -> -product[c]))
          .limit(CELLS_AROUND)
          .mapToInt(c -> c)
          .toArray();
    }

    IntStream around(int i) {
      return Arrays.stream(around[i]).flatMap(c -> Arrays.stream(members[c]));
    }
  }
}
