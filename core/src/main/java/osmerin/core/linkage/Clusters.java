package osmerin.core.linkage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Clusters of units while they are being joined: which units are in one, its pages, which of them
 * tell, and which clusters a telling page ties. A cluster is named by the first of its units.
 */
final class Clusters {
  private static final int NONE = -1;

  final PageIndex index;
  final double least;
  private final int[] parent;

  /** The next unit of the same cluster, and the last one of a cluster by its first. */
  private final int[] next;

  private final int[] last;
  private final boolean[] kept;
  private final boolean[] locked;
  private final int[][] telling;
  private final PageSums[] sums;

  /** The clusters of each telling page, put right as they are met, and how many they are. */
  private int[][] clustersOf = {};

  private int[] clusters = {};

  /** Starts from one cluster for each unit. */
  Clusters(PageIndex index, double least) {
    this.index = index;
    this.least = least;
    int units = index.units();
    parent = IntStream.range(0, units).toArray();
    next = new int[units];
    last = new int[units];
    kept = new boolean[units];
    locked = new boolean[units];
    telling = new int[units][];
    sums = new PageSums[units];
  }

  /** Puts units into one cluster; it is never joined with another such one, or with none at all. */
  void keepTogether(List<Integer> units, boolean alone) {
    int first = units.stream().mapToInt(i -> i).min().orElseThrow();
    units.forEach(unit -> parent[unit] = first);
    kept[first] = true;
    locked[first] = alone;
  }

  /**
   * Units of the same common pages and the same mass start as one, and every cluster gets its
   * pages.
   */
  void begin() {
    foldAlike();
    givePages();
  }

  private void foldAlike() {
    Map<List<Integer>, Integer> first = new HashMap<>();
    for (int unit = 0; unit < parent.length; unit++) {
      if (parent[unit] == unit && !kept[unit] && index.likeness(unit, unit) >= least) {
        List<Integer> alike = new ArrayList<>(index.pages(unit).length + 1);
        for (int page : index.pages(unit)) {
          alike.add(page);
        }
        alike.add(index.mass(unit));
        parent[unit] = first.merge(alike, unit, (earlier, its) -> earlier);
      }
    }
  }

  /** Gives every cluster its pages, and every telling page its clusters. */
  private void givePages() {
    int[] clusterOf = IntStream.range(0, parent.length).map(this::find).toArray();
    int[][] members = Numbered.turned(clusterOf, parent.length);
    int[][] pagesOf = new int[parent.length][];
    for (int cluster = 0; cluster < parent.length; cluster++) {
      int[] units = Arrays.stream(members[cluster]).filter(u -> index.mass(u) > 0).toArray();
      boolean takesPart = units.length > 0 && !locked[cluster];
      for (int i = 0; i < members[cluster].length; i++) {
        boolean end = i + 1 == members[cluster].length;
        next[members[cluster][i]] = end ? NONE : members[cluster][i + 1];
        last[cluster] = members[cluster][i];
      }
      telling[cluster] = takesPart ? telling(units) : new int[0];
      sums[cluster] = takesPart ? PageSums.of(index, units) : null;
    }
    clustersOf = Numbered.turned(telling, index.pages());
    clusters = Arrays.stream(clustersOf).mapToInt(its -> its.length).toArray();
  }

  private int[] telling(int[] units) {
    return units.length == 1
        ? index.telling(units[0], least)
        : Arrays.stream(units)
            .flatMap(unit -> Arrays.stream(index.telling(unit, least)))
            .sorted()
            .distinct()
            .toArray();
  }

  /** For each unit the first one of those that telling pages tie to it, by way of others too. */
  int[] parts() {
    int[] part = IntStream.range(0, parent.length).toArray();
    for (int[] clusters : clustersOf) {
      for (int i = 1; i < clusters.length; i++) {
        int a = Numbered.first(part, clusters[i - 1]);
        int b = Numbered.first(part, clusters[i]);
        part[Math.max(a, b)] = Math.min(a, b);
      }
    }
    for (int unit = 0; unit < part.length; unit++) {
      part[unit] = Numbered.first(part, find(unit));
    }
    return part;
  }

  int size() {
    return parent.length;
  }

  /** The cluster of a unit. */
  int find(int unit) {
    return Numbered.first(parent, unit);
  }

  int[] units(int cluster) {
    IntStream.Builder units = IntStream.builder();
    for (int unit = cluster; unit != NONE; unit = next[unit]) {
      units.add(unit);
    }
    return units.build().toArray();
  }

  /** Null when the cluster takes no part: it is locked, without pages, or joined with another. */
  @Nullable PageSums sums(int cluster) {
    return sums[cluster];
  }

  boolean isKept(int cluster) {
    return kept[cluster];
  }

  /** The pages by which it is compared. */
  int[] telling(int cluster) {
    return telling[cluster];
  }

  /** How many clusters a telling page ties. */
  int tied(int page) {
    return clusters[page];
  }

  int tied(int page, int at) {
    return clustersOf[page][at];
  }

  /** Joins two. */
  int merge(int a, int b) {
    int into = Math.min(a, b);
    int from = Math.max(a, b);
    PageSums both = sums[into].plus(sums[from]);
    int[] either = Numbered.union(telling[into], telling[from]);
    joinOnly(into, from);
    sums[into] = both;
    telling[into] = either;
    return into;
  }

  /** Leaves the pages of the two as they are. */
  void joinOnly(int into, int from) {
    parent[from] = into;
    next[last[into]] = from;
    last[into] = last[from];
    kept[into] |= kept[from];
    sums[from] = null;
    telling[from] = new int[0];
  }

  /** Works out the pages of a cluster again from its units. */
  void refresh(int cluster) {
    int[] units = Arrays.stream(units(cluster)).filter(u -> index.mass(u) > 0).toArray();
    sums[cluster] = PageSums.of(index, units);
    telling[cluster] = telling(units);
  }

  /**
   * Names each cluster of a page once, by what it has become.
   *
   * @param seen for each cluster the last turn at which it was met
   */
  void putRight(int page, int[] seen, int turn) {
    int n = 0;
    for (int i = 0; i < clusters[page]; i++) {
      int now = find(clustersOf[page][i]);
      if (seen[now] != turn) {
        seen[now] = turn;
        clustersOf[page][n++] = now;
      }
    }
    clusters[page] = n;
  }
}
