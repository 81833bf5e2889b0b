package osmerin.core.group;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import osmerin.core.keyword.PageAddress;

/**
 * Which units (keywords with their close variants folded in) have which ranking pages, by numbers.
 * A page that ranks for a great many units proves nothing about any two of them and is left out,
 * which also bounds the cost of every walk: units · depth · {@value #MOST_UNITS_OF_A_PAGE} at the
 * worst. So is a page that ranks for more than half of all, unless the units have little else.
 */
final class PageIndex {
  /** A page that ranks for more units than this proves nothing. */
  static final int MOST_UNITS_OF_A_PAGE = 256;

  /** Among fewer units than these no page can rank for everything. */
  private static final int FEW_UNITS = 20;

  private final int[][] pagesOf;
  private final int[][] unitsOf;

  /**
   * Builds the index.
   *
   * @param pages of each unit, each once
   */
  PageIndex(List<List<PageAddress>> pages) {
    Map<PageAddress, Integer> numbers = new HashMap<>();
    int[][] all = new int[pages.size()][];
    for (int unit = 0; unit < all.length; unit++) {
      List<PageAddress> its = pages.get(unit);
      all[unit] = new int[its.size()];
      for (int i = 0; i < its.size(); i++) {
        all[unit][i] = numbers.computeIfAbsent(its.get(i), p -> numbers.size());
      }
    }
    int[] count = count(all, numbers.size());
    pagesOf = telling(all, count);
    unitsOf = turned(pagesOf, numbers.size());
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

  /** Without pages that prove nothing; ascending. */
  private static int[][] telling(int[][] all, int[] count) {
    int most = Math.min(MOST_UNITS_OF_A_PAGE, mostUnits(all, count));
    int[][] result = new int[all.length][];
    for (int unit = 0; unit < all.length; unit++) {
      result[unit] = Arrays.stream(all[unit]).filter(p -> count[p] <= most).sorted().toArray();
    }
    return result;
  }

  private static int mostUnits(int[][] all, int[] count) {
    long withPages = Arrays.stream(all).filter(its -> its.length > 0).count();
    if (withPages < FEW_UNITS) {
      return Integer.MAX_VALUE;
    }
    int half = (int) (withPages / 2);
    long places = Arrays.stream(count).asLongStream().sum();
    long everywhere = Arrays.stream(count).filter(c -> c > half).asLongStream().sum();
    return everywhere * 2 < places ? half : Integer.MAX_VALUE;
  }

  private static int[][] turned(int[][] pagesOf, int pages) {
    int[] count = count(pagesOf, pages);
    int[][] unitsOf = new int[pages][];
    for (int page = 0; page < pages; page++) {
      unitsOf[page] = new int[count[page]];
    }
    int[] filled = new int[pages];
    for (int unit = 0; unit < pagesOf.length; unit++) {
      for (int page : pagesOf[unit]) {
        unitsOf[page][filled[page]++] = unit;
      }
    }
    return unitsOf;
  }

  /** The pages of a unit that tell something, ascending. */
  int[] pages(int unit) {
    return pagesOf[unit];
  }

  int units() {
    return pagesOf.length;
  }

  /** For each unit those that share at least so many pages with it. */
  Neighbours neighbours(int minShared) {
    Neighbours.Collector found = new Neighbours.Collector(units());
    int[] shared = new int[units()];
    int[] touched = new int[units()];
    for (int unit = 0; unit < units(); unit++) {
      int n = count(unit, shared, touched);
      Arrays.sort(touched, 0, n);
      for (int i = 0; i < n; i++) {
        int other = touched[i];
        if (shared[other] >= minShared) {
          found.add(other, shared[other]);
        }
        shared[other] = 0;
      }
      found.endUnit();
    }
    return found.collected();
  }

  private int count(int unit, int[] shared, int[] touched) {
    int n = 0;
    for (int page : pagesOf[unit]) {
      for (int other : unitsOf[page]) {
        if (other != unit && shared[other]++ == 0) {
          touched[n++] = other;
        }
      }
    }
    return n;
  }
}
