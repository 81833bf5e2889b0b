package osmerin.core.linkage;

import java.util.Arrays;

/**
 * The pages of a cluster of units, counted by the mass of the units that have them: enough to add
 * up the likeness of all pairs of two clusters without looking at the pairs. For a page that both
 * have, a pair adds its weight times 10 over the larger of the two masses.
 */
public final class PageSums {
  private final PageIndex index;
  private final int units;

  /** The pages, ascending. */
  private final int[] page;

  /** Where the entries of each page begin; one more for the end. */
  private final int[] start;

  /** The masses of the units that have a page, ascending for each page, and how many have them. */
  private final int[] mass;

  private final int[] count;

  /** Of an entry and those of its page before it: how many units. */
  private final int[] upTo;

  /** Of the entries of its page behind an entry: Σ 10 over the mass of each unit. */
  private final double[] behind;

  private PageSums(PageIndex index, int units, Entries entries) {
    this.index = index;
    this.units = units;
    page = Arrays.copyOf(entries.page, entries.pages);
    start = Arrays.copyOf(entries.start, entries.pages + 1);
    mass = Arrays.copyOf(entries.mass, entries.n);
    count = Arrays.copyOf(entries.count, entries.n);
    upTo = new int[mass.length];
    behind = new double[mass.length];
    for (int at = 0; at < page.length; at++) {
      for (int i = start[at]; i < start[at + 1]; i++) {
        upTo[i] = count[i] + (i == start[at] ? 0 : upTo[i - 1]);
      }
      for (int i = start[at + 1] - 2; i >= start[at]; i--) {
        behind[i] = behind[i + 1] + count[i + 1] * index.tenth(mass[i + 1]);
      }
    }
  }

  public static PageSums of(PageIndex index, int unit) {
    int[] pages = index.pages(unit);
    Entries entries = new Entries(pages.length);
    for (int page : pages) {
      entries.add(page, index.mass(unit), 1);
    }
    return entries.sums(index, 1);
  }

  /** The sums of many units at once. */
  public static PageSums of(PageIndex index, int[] units) {
    if (units.length == 1) {
      return of(index, units[0]);
    }
    long[] entries = new long[Arrays.stream(units).map(unit -> index.pages(unit).length).sum()];
    int n = 0;
    for (int unit : units) {
      for (int page : index.pages(unit)) {
        entries[n++] = (long) page << Integer.SIZE | index.mass(unit);
      }
    }
    Arrays.sort(entries);
    Entries all = new Entries(entries.length);
    for (long entry : entries) {
      all.add((int) (entry >> Integer.SIZE), (int) entry, 1);
    }
    return all.sums(index, units.length);
  }

  public int units() {
    return units;
  }

  /** How many pages there are. */
  int pages() {
    return page.length;
  }

  /** The page at a place. */
  int page(int at) {
    return page[at];
  }

  /** How many of the units have the page at a place. */
  int unitsWith(int at) {
    return upTo[start[at + 1] - 1];
  }

  public PageSums plus(PageSums other) {
    Entries all = new Entries(mass.length + other.mass.length);
    for (int i = 0, j = 0; i < page.length || j < other.page.length; ) {
      boolean mine = j == other.page.length || i < page.length && page[i] <= other.page[j];
      boolean theirs = i == page.length || j < other.page.length && other.page[j] <= page[i];
      if (mine && theirs) {
        all.addBoth(this, i, other, j);
      } else if (mine) {
        all.addAll(this, i, start[i]);
      } else {
        all.addAll(other, j, other.start[j]);
      }
      i += mine ? 1 : 0;
      j += theirs ? 1 : 0;
    }
    return all.sums(index, units + other.units);
  }

  /** Entries in order, gathered. */
  private static final class Entries {
    private final int[] page;
    private final int[] start;
    private final int[] mass;
    private final int[] count;
    private int pages;
    private int n;

    Entries(int most) {
      page = new int[most];
      start = new int[most + 1];
      mass = new int[most];
      count = new int[most];
    }

    void add(int ofPage, int ofMass, int units) {
      if (pages == 0 || page[pages - 1] != ofPage) {
        page[pages] = ofPage;
        start[pages++] = n;
      }
      if (n > start[pages - 1] && mass[n - 1] == ofMass) {
        count[n - 1] += units;
      } else {
        mass[n] = ofMass;
        count[n++] = units;
      }
    }

    void addAll(PageSums sums, int at, int from) {
      for (int i = from; i < sums.start[at + 1]; i++) {
        add(sums.page[at], sums.mass[i], sums.count[i]);
      }
    }

    void addBoth(PageSums a, int atA, PageSums b, int atB) {
      int i = a.start[atA];
      int j = b.start[atB];
      while (i < a.start[atA + 1] && j < b.start[atB + 1]) {
        if (a.mass[i] <= b.mass[j]) {
          add(a.page[atA], a.mass[i], a.count[i++]);
        } else {
          add(b.page[atB], b.mass[j], b.count[j++]);
        }
      }
      addAll(a, atA, i);
      addAll(b, atB, j);
    }

    PageSums sums(PageIndex index, int units) {
      start[pages] = n;
      return new PageSums(index, units, this);
    }
  }

  /** The mean likeness of a unit of this and a unit of the other, 0–10. */
  public double mean(PageSums other) {
    return sum(other) / ((double) units * other.units);
  }

  /** The mean likeness of a unit of this with the others of this; 0 when it is alone. */
  public double meanWithOthers(PageSums unit) {
    return units < 2 ? 0 : (sum(unit) - unit.sum(unit)) / (units - 1);
  }

  private double sum(PageSums other) {
    if (units == 1 && other.units == 1) {
      return likeness(other);
    }
    PageSums few = page.length <= other.page.length ? this : other;
    PageSums many = few == this ? other : this;
    boolean far = many.page.length > 16 * few.page.length;
    double sum = 0;
    int at = 0;
    for (int i = 0; i < few.page.length && at < many.page.length; i++) {
      int wanted = few.page[i];
      at = far ? many.search(wanted, at) : many.walk(wanted, at);
      if (at < many.page.length && many.page[at] == wanted) {
        sum += index.weight(wanted) * few.pairs(i, many, at);
      }
    }
    return sum;
  }

  /** Of two single units. */
  private double likeness(PageSums other) {
    int shared = 0;
    for (int i = 0, j = 0; i < page.length && j < other.page.length; ) {
      int mine = page[i];
      int theirs = other.page[j];
      shared += mine == theirs ? index.weight(mine) : 0;
      i += mine <= theirs ? 1 : 0;
      j += theirs <= mine ? 1 : 0;
    }
    return shared == 0 ? 0 : shared * index.tenth(Math.max(mass[0], other.mass[0]));
  }

  private int walk(int wanted, int at) {
    int place = at;
    while (place < page.length && page[place] < wanted) {
      place++;
    }
    return place;
  }

  /** The first place from {@code at} on whose page is not before the wanted one. */
  private int search(int wanted, int at) {
    int found = Arrays.binarySearch(page, at, page.length, wanted);
    return found < 0 ? -found - 1 : found;
  }

  /** Σ over pairs of units that have one page: 10 over the larger mass of the two. */
  private double pairs(int at, PageSums other, int otherAt) {
    boolean shorter = start[at + 1] - start[at] <= other.start[otherAt + 1] - other.start[otherAt];
    PageSums few = shorter ? this : other;
    PageSums many = shorter ? other : this;
    int fewAt = shorter ? at : otherAt;
    int manyAt = shorter ? otherAt : at;
    double sum = 0;
    for (int i = few.start[fewAt]; i < few.start[fewAt + 1]; i++) {
      sum += few.count[i] * many.pairs(manyAt, few.mass[i]);
    }
    return sum;
  }

  /** The same of one unit of a mass with the units that have a page. */
  private double pairs(int at, int ofMass) {
    int low = start[at];
    int high = start[at + 1];
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (mass[middle] <= ofMass) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low == start[at]
        ? behind[low] + count[low] * index.tenth(mass[low])
        : upTo[low - 1] * index.tenth(ofMass) + behind[low - 1];
  }
}
