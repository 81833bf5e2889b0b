package osmerin.core.group;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Average linkage: of all clusters that hand edits allow to be one, the two of highest mean
 * likeness become one, until no mean reaches the least. Ties fall to the pair with the first unit.
 *
 * <p>It is done by nearest-neighbour chains (F. Murtagh, "A survey of recent advances in
 * hierarchical clustering algorithms", The Computer Journal 26, 1983): two clusters that are
 * nearest to each other are joined, wherever they are met. That gives what joining the nearest of
 * all gives, because a joined cluster is never nearer to a third than its nearer part was;
 * forbidden pairs and ties by the first unit keep that so.
 *
 * <p>Three short cuts save work and change nothing. Clusters are compared only when they have one
 * of their {@linkplain PageIndex#telling telling} pages in common, since a mean that reaches the
 * least needs a pair that does. Units of the same common pages and the same mass, which are as near
 * to each other as either is to anything, start as one. And a cluster that has grown takes in all
 * at once what is bound to become one with it ({@link Gathering}).
 */
final class AverageLinkage {
  /** A cluster of so many units looks for what it can take in at once, and at each doubling. */
  private static final int GATHERS_FROM = 8;

  private static final int NONE = -1;

  private final PageIndex index;
  private final double least;
  private final int gathersFrom;
  private final int[] parent;

  /** The next unit of the same cluster, and the last one of a cluster by its first. */
  private final int[] next;

  private final int[] last;
  private final boolean[] kept;
  private final boolean[] locked;
  private final boolean[] finished;
  private final int[][] telling;
  private final PageSums[] sums;

  /** The clusters of each telling page, put right as they are met, and how many they are. */
  private int[][] clustersOf = {};

  private int[] clusters = {};

  /**
   * Starts from one cluster for each unit.
   *
   * @param least mean likeness at which two clusters are joined, above 0, up to 10
   */
  AverageLinkage(PageIndex index, double least) {
    this(index, least, GATHERS_FROM);
  }

  /** The same, with clusters that take in at once what they can from so many units on. */
  AverageLinkage(PageIndex index, double least, int gathersFrom) {
    this.index = index;
    this.least = least;
    this.gathersFrom = gathersFrom;
    int units = index.units();
    parent = new int[units];
    Arrays.setAll(parent, i -> i);
    next = new int[units];
    last = new int[units];
    kept = new boolean[units];
    locked = new boolean[units];
    finished = new boolean[units];
    telling = new int[units][];
    sums = new PageSums[units];
  }

  /**
   * Puts the units into one cluster from the start; it is never joined with another such one. Units
   * without pages go along and count for nothing.
   *
   * @param alone whether it is joined with none at all
   */
  void keepTogether(List<Integer> units, boolean alone) {
    int first = units.stream().mapToInt(i -> i).min().orElseThrow();
    units.forEach(unit -> parent[unit] = first);
    kept[first] = true;
    locked[first] = alone;
  }

  /**
   * Clusters; afterwards {@link #find} gives the cluster of a unit. Clusters that no telling page
   * ties to each other, not even by way of others, do not concern each other: the cores share them.
   */
  void join() {
    foldAlike();
    begin();
    int[] part = parts();
    int cores = Runtime.getRuntime().availableProcessors();
    IntStream.range(0, cores).parallel().forEach(core -> new Chains(part, core, cores).join());
  }

  /** For each unit the first one of those that telling pages tie to it, by way of others too. */
  private int[] parts() {
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

  /** The cluster of a unit, named by the first of its units. */
  int find(int unit) {
    return Numbered.first(parent, unit);
  }

  private int[] units(int cluster) {
    IntStream.Builder units = IntStream.builder();
    for (int unit = cluster; unit != NONE; unit = next[unit]) {
      units.add(unit);
    }
    return units.build().toArray();
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
  private void begin() {
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

  private int merge(int a, int b) {
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
  private void joinOnly(int into, int from) {
    parent[from] = into;
    next[last[into]] = from;
    last[into] = last[from];
    kept[into] |= kept[from];
    sums[from] = null;
    telling[from] = new int[0];
  }

  /** The chains of one core: it has every so many-th of the parts. */
  private final class Chains {
    private final int[] part;
    private final int core;
    private final int cores;
    private final Gathering gathering = new Gathering(index, least);
    private final int[] candidate = new int[parent.length];
    private final int[] onPage = new int[parent.length];
    private int asked;
    private int walked;

    Chains(int[] part, int core, int cores) {
      this.part = part;
      this.core = core;
      this.cores = cores;
    }

    void join() {
      int[] chain = new int[parent.length];
      for (int unit = 0; unit < parent.length; unit++) {
        if (part[unit] % cores == core) {
          follow(unit, chain);
        }
      }
    }

    /** Until the unit's cluster and all on the way to its nearest are finished or joined. */
    private void follow(int unit, int[] chain) {
      int length = 0;
      while (length > 0 || sums[find(unit)] != null && !finished[find(unit)]) {
        if (length == 0) {
          chain[length++] = find(unit);
        }
        int top = chain[length - 1];
        int near = nearest(top);
        if (near == NONE) {
          finished[top] = true;
          length--;
        } else if (length > 1 && near == chain[length - 2]) {
          length = joinAndGather(top, near) ? 0 : length - 2;
        } else {
          chain[length++] = near;
        }
      }
    }

    /** Whether more than the two became one. */
    private boolean joinAndGather(int a, int b) {
      int before = Math.max(sums[a].units(), sums[b].units());
      int both = merge(a, b);
      int size = sums[both].units();
      boolean doubled = Integer.highestOneBit(before) < Integer.highestOneBit(size);
      return doubled && size >= gathersFrom && gather(both);
    }

    private boolean gather(int cluster) {
      if (!gathering.begin(sums[cluster], units(cluster))) {
        return false;
      }
      for (int other : around(cluster)) {
        if (!kept[other]) {
          gathering.offer(other, units(other));
        }
      }
      List<Integer> taken = gathering.taken();
      if (!taken.isEmpty()) {
        taken.forEach(
            other -> joinOnly(Math.min(find(cluster), other), Math.max(find(cluster), other)));
        int now = find(cluster);
        int[] units = Arrays.stream(units(now)).filter(u -> index.mass(u) > 0).toArray();
        sums[now] = PageSums.of(index, units);
        telling[now] = telling(units);
      }
      return !taken.isEmpty();
    }

    /** The nearest cluster that may be joined. */
    private int nearest(int cluster) {
      asked++;
      candidate[cluster] = asked;
      int best = NONE;
      long most = PageIndex.steps(least);
      for (int page : telling[cluster]) {
        putRight(page);
        for (int i = 0; i < clusters[page]; i++) {
          int other = clustersOf[page][i];
          if (candidate[other] != asked) {
            candidate[other] = asked;
            if (!(kept[cluster] && kept[other])) {
              long mean = PageIndex.steps(sums[cluster].mean(sums[other]));
              if (mean > most || mean == most && (best == NONE || other < best)) {
                best = other;
                most = mean;
              }
            }
          }
        }
      }
      return best;
    }

    /** The other clusters that have one of its telling pages. */
    private int[] around(int cluster) {
      IntStream.Builder around = IntStream.builder();
      asked++;
      candidate[cluster] = asked;
      for (int page : telling[cluster]) {
        putRight(page);
        for (int i = 0; i < clusters[page]; i++) {
          if (candidate[clustersOf[page][i]] != asked) {
            candidate[clustersOf[page][i]] = asked;
            around.add(clustersOf[page][i]);
          }
        }
      }
      return around.build().toArray();
    }

    private void putRight(int page) {
      walked++;
      int n = 0;
      for (int i = 0; i < clusters[page]; i++) {
        int now = find(clustersOf[page][i]);
        if (onPage[now] != walked) {
          onPage[now] = walked;
          clustersOf[page][n++] = now;
        }
      }
      clusters[page] = n;
    }
  }
}
