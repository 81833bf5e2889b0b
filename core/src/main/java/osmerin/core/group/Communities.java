package osmerin.core.group;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;

/**
 * Average-linkage clustering of units by shared pages. Two clusters are joined, the closest first,
 * as long as a unit of the one shares on average enough pages with a unit of the other; so a chain
 * of weak links joins nothing. Each cluster keeps the sums of shared pages to its neighbours, and
 * the smaller set of sums is poured into the larger, so the work is near-linear in the number of
 * pairs. Ties go to the clusters with the earliest units: the result does not depend on input
 * order.
 */
final class Communities {
  /**
   * The part of the required shared pages that two clusters must share on average. Below 1 because
   * rankings are cut off: pages that both keywords have stand past the tenth place of one of them.
   */
  private static final double ENOUGH_ON_AVERAGE = 0.6;

  private record Candidate(double mean, int a, int b, int stampA, int stampB) {}

  private static final Comparator<Candidate> CLOSEST_FIRST =
      Comparator.comparingDouble(Candidate::mean)
          .reversed()
          .thenComparingInt(Candidate::a)
          .thenComparingInt(Candidate::b);

  private final int[] parent;
  private final int[] size;
  private final int[] stamp;
  private final boolean[] kept;
  private final Map<Integer, Map<Integer, Integer>> sums = new HashMap<>();
  private final PriorityQueue<Candidate> queue = new PriorityQueue<>(CLOSEST_FIRST);
  private final double enough;

  /** Starts from one cluster for each unit. */
  Communities(int units, int minShared) {
    parent = new int[units];
    Arrays.setAll(parent, i -> i);
    size = new int[units];
    Arrays.fill(size, 1);
    stamp = new int[units];
    kept = new boolean[units];
    enough = minShared * ENOUGH_ON_AVERAGE;
  }

  /** Puts the units into one cluster from the start; it is never joined with another such one. */
  void keepTogether(List<Integer> units) {
    int first = units.get(0);
    for (int unit : units) {
      parent[find(unit)] = find(first);
    }
    size[find(first)] = new HashSet<>(units).size();
    kept[find(first)] = true;
  }

  /** Clusters; afterwards {@link #find} gives the cluster of a unit. */
  void join(List<SharedPages.Pair> pairs) {
    for (SharedPages.Pair pair : pairs) {
      int a = find(pair.a());
      int b = find(pair.b());
      if (a != b) {
        sums(a).merge(b, pair.shared(), Integer::sum);
        sums(b).merge(a, pair.shared(), Integer::sum);
      }
    }
    for (int cluster : List.copyOf(sums.keySet())) {
      sums(cluster).keySet().stream().filter(b -> b > cluster).forEach(b -> offer(cluster, b));
    }
    while (!queue.isEmpty()) {
      Candidate next = queue.poll();
      if (stamp[next.a()] == next.stampA() && stamp[next.b()] == next.stampB()) {
        merge(next.a(), next.b());
      }
    }
  }

  /** The cluster of a unit, named by one of its units. */
  int find(int unit) {
    int root = unit;
    while (parent[root] != root) {
      root = parent[root];
    }
    for (int at = unit; parent[at] != root; ) {
      int next = parent[at];
      parent[at] = root;
      at = next;
    }
    return root;
  }

  private Map<Integer, Integer> sums(int cluster) {
    return sums.computeIfAbsent(cluster, c -> new HashMap<>());
  }

  private void offer(int a, int b) {
    if (kept[a] && kept[b]) {
      return;
    }
    double mean = sums(a).get(b) / ((double) size[a] * size[b]);
    if (mean >= enough) {
      int low = Math.min(a, b);
      int high = Math.max(a, b);
      queue.add(new Candidate(mean, low, high, stamp[low], stamp[high]));
    }
  }

  private void merge(int a, int b) {
    int into = sums(a).size() >= sums(b).size() ? a : b;
    int from = into == a ? b : a;
    parent[from] = into;
    size[into] += size[from];
    kept[into] |= kept[from];
    stamp[into]++;
    stamp[from]++;
    Map<Integer, Integer> mine = sums(into);
    Map<Integer, Integer> poured = sums.remove(from);
    mine.remove(from);
    poured.remove(into);
    poured.forEach(
        (other, shared) -> {
          mine.merge(other, shared, Integer::sum);
          Map<Integer, Integer> theirs = sums(other);
          theirs.remove(from);
          theirs.put(into, mine.get(other));
        });
    Set<Integer> neighbours = mine.keySet();
    neighbours.forEach(other -> offer(into, other));
  }
}
