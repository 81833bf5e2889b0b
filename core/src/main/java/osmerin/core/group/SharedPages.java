package osmerin.core.group;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import osmerin.core.keyword.PageAddress;

/**
 * Which units (keywords with their close variants folded in) share how many ranking pages. Found
 * through an index from page to units, so the cost follows the pairs that share something. A page
 * that ranks for a great many units says nothing about any two of them and is left out, which also
 * bounds the cost: units · depth · {@value #MOST_UNITS_OF_A_PAGE} at the worst.
 */
final class SharedPages {
  /** A page that ranks for more units than this proves nothing. */
  static final int MOST_UNITS_OF_A_PAGE = 256;

  /** Two units and the pages they share; {@code a} &lt; {@code b}. */
  record Pair(int a, int b, int shared) {}

  private final List<List<PageAddress>> pages;
  private final Map<PageAddress, int[]> unitsOf = new HashMap<>();

  SharedPages(List<List<PageAddress>> pages) {
    this.pages = pages;
    Map<PageAddress, List<Integer>> lists = new HashMap<>();
    for (int unit = 0; unit < pages.size(); unit++) {
      for (PageAddress page : pages.get(unit)) {
        lists.computeIfAbsent(page, p -> new ArrayList<>(4)).add(unit);
      }
    }
    lists.forEach(
        (page, units) -> {
          if (units.size() > 1 && units.size() <= MOST_UNITS_OF_A_PAGE) {
            unitsOf.put(page, units.stream().mapToInt(Integer::intValue).toArray());
          }
        });
  }

  /** All pairs that share at least so many pages, by unit. */
  List<Pair> atLeast(int shared) {
    List<Pair> pairs = new ArrayList<>();
    int[] counts = new int[pages.size()];
    int[] touched = new int[pages.size()];
    for (int a = 0; a < pages.size(); a++) {
      int n = countWith(a, counts, touched);
      Arrays.sort(touched, 0, n);
      for (int i = 0; i < n; i++) {
        int b = touched[i];
        if (counts[b] >= shared) {
          pairs.add(new Pair(a, b, counts[b]));
        }
        counts[b] = 0;
      }
    }
    return pairs;
  }

  private int countWith(int a, int[] counts, int[] touched) {
    int n = 0;
    for (PageAddress page : pages.get(a)) {
      int[] units = unitsOf.get(page);
      if (units == null) {
        continue;
      }
      for (int b : units) {
        if (b > a && counts[b]++ == 0) {
          touched[n++] = b;
        }
      }
    }
    return n;
  }
}
