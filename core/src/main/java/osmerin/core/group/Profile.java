package osmerin.core.group;

import java.util.Arrays;

/**
 * The ranking pages of some units taken together: for each page how many of the units it ranks for.
 * From two profiles follows how many pages a unit of the one shares on average with a unit of the
 * other, without looking at any pair of units.
 */
final class Profile {
  private final int[] pages;
  private final int[] counts;
  private final int units;
  private final long places;

  private Profile(int[] pages, int[] counts, int units, long places) {
    this.pages = pages;
    this.counts = counts;
    this.units = units;
    this.places = places;
  }

  /**
   * The profile of one unit.
   *
   * @param pages ascending
   */
  static Profile of(int[] pages) {
    int[] once = new int[pages.length];
    Arrays.fill(once, 1);
    return new Profile(pages, once, pages.length == 0 ? 0 : 1, pages.length);
  }

  /** Units that have pages. */
  int units() {
    return units;
  }

  Profile plus(Profile other) {
    int[] both = new int[pages.length + other.pages.length];
    int[] sums = new int[both.length];
    int n = 0;
    int i = 0;
    int j = 0;
    while (i < pages.length || j < other.pages.length) {
      boolean mine = j == other.pages.length || (i < pages.length && pages[i] <= other.pages[j]);
      boolean theirs = i == pages.length || (j < other.pages.length && other.pages[j] <= pages[i]);
      both[n] = mine ? pages[i] : other.pages[j];
      sums[n++] = (mine ? counts[i++] : 0) + (theirs ? other.counts[j++] : 0);
    }
    return new Profile(
        Arrays.copyOf(both, n), Arrays.copyOf(sums, n), units + other.units, places + other.places);
  }

  /** Pages that a unit of this shares on average with a unit of the other; 0 when one has none. */
  double meanShared(Profile other) {
    return units == 0 || other.units == 0 ? 0 : shared(other) / ((double) units * other.units);
  }

  /** The same for a unit of this itself, with the others of this. */
  double meanSharedWithOthers(Profile member) {
    return units < 2 ? 0 : (double) (shared(member) - member.places) / (units - 1);
  }

  /** Pages that two different units of this share on average; 0 for fewer than two. */
  double meanWithin() {
    if (units < 2) {
      return 0;
    }
    long squares = 0;
    for (int count : counts) {
      squares += (long) count * count;
    }
    return (squares - places) / ((double) units * (units - 1));
  }

  private long shared(Profile other) {
    Profile few = pages.length <= other.pages.length ? this : other;
    Profile many = few == this ? other : this;
    long sum = 0;
    int at = 0;
    for (int i = 0; i < few.pages.length && at < many.pages.length; i++) {
      at = many.place(few.pages[i], at, few.pages.length);
      if (at < many.pages.length && many.pages[at] == few.pages[i]) {
        sum += (long) few.counts[i] * many.counts[at];
      }
    }
    return sum;
  }

  /** The first place from {@code at} on whose page is not before the one asked for. */
  private int place(int page, int at, int asked) {
    if (pages.length > 8 * asked) {
      int found = Arrays.binarySearch(pages, at, pages.length, page);
      return found < 0 ? -found - 1 : found;
    }
    int place = at;
    while (place < pages.length && pages[place] < page) {
      place++;
    }
    return place;
  }
}
