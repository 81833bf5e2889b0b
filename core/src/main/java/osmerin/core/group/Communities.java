package osmerin.core.group;

import java.util.Arrays;
import java.util.List;

/**
 * Average-linkage clustering of units by shared pages, by nearest-neighbour chains (F. Murtagh, "A
 * survey of recent advances in hierarchical clustering algorithms", The Computer Journal 26, 1983):
 * two clusters that are nearest to each other are joined. Near is what is linked, a unit of the one
 * sharing the required pages with a unit of the other, and what on average shares enough: so a
 * chain of weak links joins nothing. And it must not share much less across than within, so that
 * two siblings which have only a few hub pages in common stay two.
 *
 * <p>Clusters are named by their first unit and ties go to the earlier one: the result does not
 * depend on input order. The work follows the links between units, not their pairs.
 */
final class Communities {
  /**
   * The part of the required shared pages that two clusters must share on average. Below 1 because
   * rankings are cut off: pages that both keywords have stand past the tenth place of one of them.
   */
  private static final double ENOUGH_ON_AVERAGE = 0.5;

  /** The part of what a cluster's own units share that it must share with another to be one. */
  private static final double AS_WITHIN = 0.45;

  private static final int NONE = -1;

  private final int[] parent;
  private final boolean[] kept;
  private final boolean[] locked;
  private final Profile[] profiles;
  private final double[] within;
  private final int[][] linked;
  private final int[] seen;
  private final double enough;
  private int stamp;

  /** Starts from one cluster for each unit. */
  Communities(PageIndex index, Neighbours neighbours, int minShared) {
    int units = index.units();
    parent = new int[units];
    Arrays.setAll(parent, i -> i);
    kept = new boolean[units];
    locked = new boolean[units];
    profiles = new Profile[units];
    Arrays.setAll(profiles, unit -> Profile.of(index.pages(unit)));
    within = new double[units];
    linked = new int[units][];
    Arrays.setAll(linked, neighbours::of);
    seen = new int[units];
    enough = minShared * ENOUGH_ON_AVERAGE;
  }

  /**
   * Puts the units into one cluster from the start; it is never joined with another such one.
   *
   * @param alone whether it is joined with none at all
   */
  void keepTogether(List<Integer> units, boolean alone) {
    int first = find(units.get(0));
    for (int unit : units) {
      int other = find(unit);
      if (other != first) {
        first = merge(first, other);
      }
    }
    kept[first] = true;
    locked[first] = alone;
  }

  /** Clusters; afterwards {@link #find} gives the cluster of a unit. */
  void join() {
    int[] chain = new int[parent.length];
    for (int unit = 0; unit < parent.length; unit++) {
      int length = 0;
      if (find(unit) == unit) {
        chain[length++] = unit;
      }
      while (length > 0) {
        int before = length > 1 ? chain[length - 2] : NONE;
        int top = chain[length - 1];
        int next = nearest(top, before);
        if (next == NONE) {
          length--;
        } else if (next == before) {
          length -= 2;
          chain[length++] = merge(top, before);
        } else {
          chain[length++] = next;
        }
      }
    }
  }

  /** The cluster of a unit, named by the first of its units. */
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

  /** The nearest cluster that may be joined; at a tie the one before in the chain. */
  private int nearest(int cluster, int before) {
    compact(cluster);
    int best = NONE;
    double most = 0;
    for (int other : linked[cluster]) {
      double mean = mean(cluster, other);
      boolean first = best != before && (other == before || other < best);
      if (mean > most || (mean == most && mean > 0 && first)) {
        best = other;
        most = mean;
      }
    }
    return best;
  }

  /** Pages shared on average; 0 when the two may not be one. */
  private double mean(int a, int b) {
    if (kept[a] && kept[b] || locked[a] || locked[b]) {
      return 0;
    }
    double mean = profiles[a].meanShared(profiles[b]);
    boolean may = mean >= enough && mean >= AS_WITHIN * Math.max(within[a], within[b]);
    return may ? mean : 0;
  }

  /** Links by the clusters of today, each once. */
  private void compact(int cluster) {
    stamp++;
    seen[cluster] = stamp;
    int[] links = linked[cluster];
    int n = 0;
    for (int link : links) {
      int other = find(link);
      if (seen[other] != stamp) {
        seen[other] = stamp;
        links[n++] = other;
      }
    }
    linked[cluster] = n == links.length ? links : Arrays.copyOf(links, n);
  }

  private int merge(int a, int b) {
    int into = Math.min(a, b);
    int from = Math.max(a, b);
    parent[from] = into;
    kept[into] |= kept[from];
    profiles[into] = profiles[into].plus(profiles[from]);
    within[into] = profiles[into].meanWithin();
    int[] links = Arrays.copyOf(linked[into], linked[into].length + linked[from].length);
    System.arraycopy(linked[from], 0, links, linked[into].length, linked[from].length);
    linked[into] = links;
    linked[from] = new int[0];
    profiles[from] = Profile.of(new int[0]);
    return into;
  }
}
