package osmerin.core.linkage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.keyword.PageAddress;

/** The quick way against the plain definition: join the nearest two, begin again. */
class AverageLinkageTest {
  private static final double LEAST = 3;

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7, 8, 9})
  void isWhatJoiningTheNearestTwoOfAllGives(int part) {
    for (long seed = part * 1000L; seed < part * 1000L + 1000; seed++) {
      Random random = new Random(seed);
      int units = 2 + random.nextInt(14);
      PageIndex index = random(random, units);
      List<Held> held = random.nextBoolean() ? List.of() : held(random, units);
      AverageLinkage linkage = new AverageLinkage(index, LEAST, 2 + random.nextInt(8));
      held.forEach(group -> linkage.keepTogether(group.units(), group.locked()));
      linkage.join();
      assertThat(partition(units, linkage))
          .as("seed %d, kept %s", seed, held)
          .isEqualTo(plain(index, held));
    }
  }

  @Test
  void aChainOfWeakLinksJoinsNothing() {
    AverageLinkage chain =
        new AverageLinkage(lettered("abcdefgh", "fghijklm", "klmnopqr", "pqrstuvw"), LEAST);
    chain.join();
    assertThat(partition(4, chain)).hasSizeGreaterThan(1);
  }

  @ParameterizedTest
  @ValueSource(ints = {10, 257, 3000, 20_000})
  void anyNumberOfUnitsOfTheSamePagesIsOneCluster(int units) {
    AverageLinkage same = new AverageLinkage(ranges(units, i -> IntStream.range(0, 10)), LEAST);
    same.join();
    assertThat(partition(units, same)).hasSize(1);
  }

  @ParameterizedTest
  @ValueSource(ints = {10, 257, 3000, 20_000})
  void anyNumberOfUnitsThatShareMostPagesIsOneCluster(int units) {
    AverageLinkage alike =
        new AverageLinkage(
            ranges(units, i -> IntStream.concat(IntStream.range(0, 9), IntStream.of(100 + i))),
            LEAST);
    alike.join();
    assertThat(partition(units, alike)).hasSize(1);
  }

  private record Held(List<Integer> units, boolean locked) {}

  /** Up to three groups of up to four units, some locked. */
  private static List<Held> held(Random random, int units) {
    List<Integer> free = new ArrayList<>(IntStream.range(0, units).boxed().toList());
    java.util.Collections.shuffle(free, random);
    List<Held> held = new ArrayList<>();
    while (held.size() < 3 && !free.isEmpty()) {
      int some = Math.min(free.size(), 1 + random.nextInt(4));
      held.add(new Held(List.copyOf(free.subList(0, some)), random.nextInt(4) == 0));
      free.subList(0, some).clear();
    }
    return held;
  }

  /** Few pages, so that ties, equal profiles and pages that rank for all are common. */
  private static PageIndex random(Random random, int units) {
    int pages = 3 + random.nextInt(25);
    int most = 1 + random.nextInt(10);
    return ranges(units, i -> random.ints(random.nextInt(most + 1), 0, pages).distinct());
  }

  private static PageIndex ranges(int units, java.util.function.IntFunction<IntStream> pagesOf) {
    return new PageIndex(
        IntStream.range(0, units)
            .mapToObj(
                unit ->
                    pagesOf
                        .apply(unit)
                        .mapToObj(page -> new PageAddress("p" + page + ".example"))
                        .toList())
            .toList());
  }

  private static PageIndex lettered(String... units) {
    return ranges(units.length, unit -> units[unit].chars());
  }

  private static List<List<Integer>> partition(int units, AverageLinkage linkage) {
    TreeMap<Integer, List<Integer>> clusters = new TreeMap<>();
    for (int unit = 0; unit < units; unit++) {
      clusters.computeIfAbsent(linkage.find(unit), c -> new ArrayList<>()).add(unit);
    }
    return List.copyOf(clusters.values());
  }

  private static final class Cluster {
    private final List<Integer> units = new ArrayList<>();
    private boolean kept;
    private boolean locked;

    Cluster(List<Integer> units) {
      this.units.addAll(units);
    }

    int first() {
      return units.stream().mapToInt(i -> i).min().orElseThrow();
    }
  }

  private static List<List<Integer>> plain(PageIndex index, List<Held> held) {
    List<Cluster> clusters = new ArrayList<>();
    boolean[] taken = new boolean[index.units()];
    for (Held group : held) {
      Cluster cluster = new Cluster(group.units());
      cluster.kept = true;
      cluster.locked = group.locked();
      clusters.add(cluster);
      group.units().forEach(unit -> taken[unit] = true);
    }
    IntStream.range(0, taken.length)
        .filter(unit -> !taken[unit])
        .forEach(unit -> clusters.add(new Cluster(List.of(unit))));
    while (joinNearest(index, clusters)) {}
    return clusters.stream()
        .map(c -> c.units.stream().sorted().toList())
        .sorted((a, b) -> Integer.compare(a.get(0), b.get(0)))
        .toList();
  }

  private static boolean joinNearest(PageIndex index, List<Cluster> clusters) {
    Cluster[] best = new Cluster[2];
    long[] most = {Long.MIN_VALUE};
    clusters.sort((a, b) -> Integer.compare(a.first(), b.first()));
    for (int i = 0; i < clusters.size(); i++) {
      for (int j = i + 1; j < clusters.size(); j++) {
        Cluster a = clusters.get(i);
        Cluster b = clusters.get(j);
        double mean = mean(index, a.units, b.units);
        boolean allowed = !(a.kept && b.kept) && !a.locked && !b.locked;
        long steps = Math.round(mean * 1e5);
        if (allowed && steps >= Math.round(LEAST * 1e5) && steps > most[0]) {
          most[0] = steps;
          best[0] = a;
          best[1] = b;
        }
      }
    }
    if (best[0] != null) {
      best[0].units.addAll(best[1].units);
      best[0].kept |= best[1].kept;
      clusters.remove(best[1]);
    }
    return best[0] != null;
  }

  /** Units without pages say nothing. */
  private static double mean(PageIndex index, List<Integer> a, List<Integer> b) {
    return a.stream()
        .filter(unit -> index.mass(unit) > 0)
        .flatMapToDouble(
            x ->
                b.stream()
                    .filter(unit -> index.mass(unit) > 0)
                    .mapToDouble(y -> index.likeness(x, y)))
        .average()
        .orElse(0);
  }
}
