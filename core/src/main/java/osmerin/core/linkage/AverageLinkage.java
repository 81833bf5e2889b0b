package osmerin.core.linkage;

import java.util.List;
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
public final class AverageLinkage {
  /** A cluster of so many units looks for what it can take in at once, and at each doubling. */
  private static final int GATHERS_FROM = 8;

  private static final int NONE = -1;

  private final Clusters clusters;
  private final int gathersFrom;
  private final boolean[] finished;

  /**
   * Starts from one cluster for each unit.
   *
   * @param least mean likeness at which two clusters are joined, above 0, up to 10
   */
  public AverageLinkage(PageIndex index, double least) {
    this(index, least, GATHERS_FROM);
  }

  /** The same, with clusters that take in at once what they can from so many units on. */
  AverageLinkage(PageIndex index, double least, int gathersFrom) {
    clusters = new Clusters(index, least);
    this.gathersFrom = gathersFrom;
    finished = new boolean[index.units()];
  }

  /**
   * Puts the units into one cluster from the start; it is never joined with another such one. Units
   * without pages go along and count for nothing.
   *
   * @param alone whether it is joined with none at all
   */
  public void keepTogether(List<Integer> units, boolean alone) {
    clusters.keepTogether(units, alone);
  }

  /**
   * Clusters; afterwards {@link #find} gives the cluster of a unit. Clusters that no telling page
   * ties to each other, not even by way of others, do not concern each other: the cores share them.
   */
  public void join() {
    clusters.begin();
    int[] part = clusters.parts();
    int cores = Runtime.getRuntime().availableProcessors();
    IntStream.range(0, cores).parallel().forEach(core -> new Chains(part, core, cores).join());
  }

  /** The cluster of a unit, named by the first of its units. */
  public int find(int unit) {
    return clusters.find(unit);
  }

  /** The chains of one core: it has every so many-th of the parts. */
  private final class Chains {
    private final int[] part;
    private final int core;
    private final int cores;
    private final Gathering gathering = new Gathering(clusters.index, clusters.least);
    private final int[] candidate = new int[clusters.size()];
    private final int[] onPage = new int[clusters.size()];
    private int asked;
    private int walked;

    Chains(int[] part, int core, int cores) {
      this.part = part;
      this.core = core;
      this.cores = cores;
    }

    void join() {
      int[] chain = new int[clusters.size()];
      for (int unit = 0; unit < clusters.size(); unit++) {
        if (part[unit] % cores == core) {
          follow(unit, chain);
        }
      }
    }

    /** Until the unit's cluster and all on the way to its nearest are finished or joined. */
    private void follow(int unit, int[] chain) {
      int length = 0;
      while (length > 0 || clusters.sums(find(unit)) != null && !finished[find(unit)]) {
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
      int before = Math.max(clusters.sums(a).units(), clusters.sums(b).units());
      int both = clusters.merge(a, b);
      int size = clusters.sums(both).units();
      boolean doubled = Integer.highestOneBit(before) < Integer.highestOneBit(size);
      return doubled && size >= gathersFrom && gather(both);
    }

    private boolean gather(int cluster) {
      if (!gathering.begin(clusters.sums(cluster), clusters.units(cluster))) {
        return false;
      }
      for (int other : around(cluster)) {
        if (!clusters.isKept(other)) {
          gathering.offer(other, clusters.units(other));
        }
      }
      List<Integer> taken = gathering.taken();
      if (!taken.isEmpty()) {
        taken.forEach(
            other ->
                clusters.joinOnly(Math.min(find(cluster), other), Math.max(find(cluster), other)));
        clusters.refresh(find(cluster));
      }
      return !taken.isEmpty();
    }

    /** The nearest cluster that may be joined. */
    private int nearest(int cluster) {
      asked++;
      candidate[cluster] = asked;
      PageSums its = clusters.sums(cluster);
      int best = NONE;
      long most = PageIndex.steps(clusters.least);
      for (int page : clusters.telling(cluster)) {
        putRight(page);
        for (int i = 0; i < clusters.tied(page); i++) {
          int other = clusters.tied(page, i);
          if (candidate[other] != asked) {
            candidate[other] = asked;
            if (!(clusters.isKept(cluster) && clusters.isKept(other))) {
              long mean = PageIndex.steps(its.mean(clusters.sums(other)));
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
      for (int page : clusters.telling(cluster)) {
        putRight(page);
        for (int i = 0; i < clusters.tied(page); i++) {
          if (candidate[clusters.tied(page, i)] != asked) {
            candidate[clusters.tied(page, i)] = asked;
            around.add(clusters.tied(page, i));
          }
        }
      }
      return around.build().toArray();
    }

    private void putRight(int page) {
      clusters.putRight(page, onPage, ++walked);
    }
  }
}
