package osmerin.core.linkage;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import osmerin.core.keyword.PageAddress;

/**
 * The ranking pages of units (keywords with their close variants folded in), by numbers, and what
 * each page weighs as evidence. Pages are numbered from the rarest on; a page that ranks for one
 * unit only ties nothing, so it has no number, but its weight counts in the unit's mass.
 *
 * <p>Likeness of two units, 0–10: <code>10 · Σ w(shared pages) / the larger Σ w(all pages)</code>;
 * 10 means the same pages. w falls smoothly from 1 to {@value #LEAST} with the share of the units
 * for which a page ranks, since a page that ranks for everything proves nothing.
 */
public final class PageIndex {
  /** Weights are whole hundredths, so that sums of them are exact. */
  public static final int WHOLE = 100;

  private static final double LEAST = 0.15;

  /** At this share of all units the weight is halfway down. */
  private static final double HALFWAY = 0.2;

  /** Among a handful of units a page of most of them is still no page of everything. */
  private static final int HANDFUL = 30;

  /** Means are compared in steps of so much, so that sums taken in another order are the same. */
  private static final double STEPS = 1e6;

  /** Where a step ends; no mean of few pages stands just there. */
  private static final double STEP_END = 0.381966011;

  private final int[][] pagesOf;
  private final int[] mass;
  private final int[] weight;
  private final int[] count;
  private final double[] tenth;

  /**
   * Builds the index.
   *
   * @param pages of each unit, each once
   */
  public PageIndex(List<List<PageAddress>> pages) {
    Map<PageAddress, Integer> met = new HashMap<>();
    int[][] all = new int[pages.size()][];
    for (int unit = 0; unit < all.length; unit++) {
      List<PageAddress> its = pages.get(unit);
      all[unit] = new int[its.size()];
      for (int i = 0; i < its.size(); i++) {
        all[unit][i] = met.computeIfAbsent(its.get(i), p -> met.size());
      }
    }
    int[] unitsOf = count(all, met.size());
    long ranked = Arrays.stream(all).filter(its -> its.length > 0).count();
    int[] rareFirst = rareFirst(unitsOf);
    count = Arrays.stream(rareFirst).map(page -> unitsOf[page]).toArray();
    weight = Arrays.stream(count).map(units -> weight(units, ranked)).toArray();
    int alone = weight(1, ranked);
    int[] number = new int[unitsOf.length];
    Arrays.fill(number, -1);
    for (int i = 0; i < rareFirst.length; i++) {
      number[rareFirst[i]] = i;
    }
    pagesOf = new int[all.length][];
    mass = new int[all.length];
    for (int unit = 0; unit < all.length; unit++) {
      pagesOf[unit] =
          Arrays.stream(all[unit]).map(p -> number[p]).filter(p -> p >= 0).sorted().toArray();
      int lone = all[unit].length - pagesOf[unit].length;
      mass[unit] = lone * alone + Arrays.stream(pagesOf[unit]).map(p -> weight[p]).sum();
    }
    tenth = new double[Arrays.stream(mass).max().orElse(0) + 1];
    Arrays.setAll(tenth, of -> 10.0 / of);
  }

  private static int[] count(int[][] pagesOf, int pages) {
    int[] count = new int[pages];
    for (int[] its : pagesOf) {
      for (int page : its) {
        count[page]++;
      }
    }
    return count;
  }

  /** The pages of more than one unit. */
  private static int[] rareFirst(int[] count) {
    return IntStream.range(0, count.length)
        .filter(page -> count[page] > 1)
        .mapToLong(page -> (long) count[page] << Integer.SIZE | page)
        .sorted()
        .mapToInt(page -> (int) page)
        .toArray();
  }

  /** In hundredths; of the units only those with pages count. */
  private static int weight(int units, long ranked) {
    double share = (double) units / (ranked + HANDFUL);
    double fallen = 1 / (1 + Math.pow(share / HALFWAY, 2));
    return (int) Math.round(WHOLE * (LEAST + (1 - LEAST) * fallen));
  }

  /** A likeness, or a mean of such, in whole steps. */
  public static long steps(double likeness) {
    return (long) Math.floor(likeness * STEPS + STEP_END);
  }

  public int units() {
    return pagesOf.length;
  }

  /** The number of pages of more than one unit. */
  public int pages() {
    return weight.length;
  }

  /** The pages that a unit has in common with any other, the rarest first. */
  public int[] pages(int unit) {
    return pagesOf[unit];
  }

  /** What a page weighs as evidence, in hundredths. */
  public int weight(int page) {
    return weight[page];
  }

  /** For how many units a page ranks. */
  int count(int page) {
    return count[page];
  }

  /** 10 over a mass, which is looked up far more often than it could be divided. */
  double tenth(int ofMass) {
    return tenth[ofMass];
  }

  /** What all pages of a unit weigh, in hundredths; 0 when it has none. */
  public int mass(int unit) {
    return mass[unit];
  }

  /** Likeness of two units, 0–10; 0 when one has no pages. */
  public double likeness(int unit, int other) {
    int shared = shared(unit, other);
    return shared == 0 ? 0 : shared * tenth[Math.max(mass[unit], mass[other])];
  }

  /** What the pages of both units weigh, in hundredths. */
  public int shared(int unit, int other) {
    int[] mine = pagesOf[unit];
    int[] theirs = pagesOf[other];
    int shared = 0;
    for (int i = 0, j = 0; i < mine.length && j < theirs.length; ) {
      if (mine[i] == theirs[j]) {
        shared += weight[mine[i++]];
        j++;
      } else if (mine[i] < theirs[j]) {
        i++;
      } else {
        j++;
      }
    }
    return shared;
  }

  /**
   * Of a unit's pages the rarest, so many that two units whose likeness reaches the least have one
   * of them in common: what is left out weighs less than the least asks for.
   */
  public int[] telling(int unit, double least) {
    int[] pages = pagesOf[unit];
    int kept = pages.length;
    int left = 0;
    while (kept > 0 && 10.0 * (left + weight[pages[kept - 1]]) < least * mass[unit]) {
      left += weight[pages[--kept]];
    }
    return kept == pages.length ? pages : Arrays.copyOf(pages, kept);
  }
}
