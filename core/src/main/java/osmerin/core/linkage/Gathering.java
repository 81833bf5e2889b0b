package osmerin.core.linkage;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Finds clusters that are bound to become one with a grown one, so that it takes them in at once.
 *
 * <p>Let all units concerned have much of a <em>core</em> of pages. Two that have core weights x
 * and y of the whole core c share at least x + y − c, so they are at least so much alike. Outside
 * they are at most as much alike to anything as the pages allow that rank there too. When the first
 * is more than the second, every part of the whole is nearer to every other than to anything
 * outside: average linkage makes them one before any of them is joined with something else,
 * whatever the order.
 */
final class Gathering {
  /** Differences in the last places of a sum decide nothing. */
  private static final double CLEARLY = 1e-3;

  private final PageIndex index;
  private final double least;

  /** For each page how many of the units concerned have it, and what it weighs in the core. */
  private final int[] inside;

  private final int[] inCore;
  private final List<int[]> units = new ArrayList<>();
  private final List<Integer> offered = new ArrayList<>();
  private int[] core = {};
  private int coreWeight;
  private int lightest;
  private int heaviest;

  Gathering(PageIndex index, double least) {
    this.index = index;
    this.least = least;
    inside = new int[index.pages()];
    inCore = new int[index.pages()];
  }

  /**
   * Begins with a cluster that has grown.
   *
   * @param its its units
   * @return whether they have enough of a core for anything to be taken in
   */
  boolean begin(PageSums sums, int[] its) {
    clear();
    core =
        IntStream.range(0, sums.pages())
            .filter(at -> 2 * sums.unitsWith(at) >= sums.units())
            .map(sums::page)
            .toArray();
    for (int page : core) {
      inCore[page] = index.weight(page);
      coreWeight += index.weight(page);
    }
    lightest = lightest(its);
    add(its);
    return within() > least + CLEARLY;
  }

  private void clear() {
    for (int[] its : units) {
      for (int unit : its) {
        for (int page : index.pages(unit)) {
          inside[page] = 0;
        }
      }
    }
    for (int page : core) {
      inCore[page] = 0;
    }
    coreWeight = 0;
    heaviest = 0;
    units.clear();
    offered.clear();
  }

  /** Takes a cluster into account when its units have as much of the core as those here. */
  void offer(int cluster, int[] its) {
    if (lightest(its) >= lightest) {
      add(its);
      offered.add(cluster);
    }
  }

  /** The clusters offered, when they are bound to become one with this; else none. */
  List<Integer> taken() {
    double within = within();
    boolean bound = within > least + CLEARLY && within > outside() + CLEARLY;
    return bound ? List.copyOf(offered) : List.of();
  }

  /** How much any two units here are alike at least. */
  private double within() {
    return (2 * lightest - coreWeight) * index.tenth(heaviest);
  }

  private void add(int[] its) {
    units.add(its);
    for (int unit : its) {
      heaviest = Math.max(heaviest, index.mass(unit));
      for (int page : index.pages(unit)) {
        inside[page]++;
      }
    }
  }

  /** What the unit that has least of the core has of it; units without pages do not count. */
  private int lightest(int[] its) {
    int least = Integer.MAX_VALUE;
    for (int unit : its) {
      if (index.mass(unit) > 0) {
        int weight = 0;
        for (int page : index.pages(unit)) {
          weight += inCore[page];
        }
        least = Math.min(least, weight);
      }
    }
    return least;
  }

  /** How much a unit here could be like one outside. */
  private double outside() {
    double most = 0;
    for (int[] its : units) {
      for (int unit : its) {
        int weight = 0;
        for (int page : index.pages(unit)) {
          weight += index.count(page) > inside[page] ? index.weight(page) : 0;
        }
        most = weight == 0 ? most : Math.max(most, weight * index.tenth(index.mass(unit)));
      }
    }
    return most;
  }
}
