package osmerin.core.keyword;

import org.jspecify.annotations.Nullable;

/**
 * A search volume in searches a month. Some tools give a range; then {@code searches} is its
 * geometric mean.
 *
 * @param searches the figure to compute with, 0 or more
 * @param low lower end of the range, equal to {@code searches} when the figure is exact
 * @param high upper end of the range
 */
public record Volume(long searches, long low, long high) {
  public Volume {
    if (low < 0 || searches < low || high < searches) {
      throw new IllegalArgumentException(
          "volume " + searches + " is not between " + low + " and " + high + ", or below 0");
    }
  }

  /** Whether the tools gave a range. */
  public boolean isRange() {
    return low != high;
  }

  /** Both together: of ranges the sums of the lower and of the upper ends. */
  public Volume plus(Volume other) {
    return new Volume(searches + other.searches, low + other.low, high + other.high);
  }

  /** From its parts; null when it is unknown, exact when no range is known. */
  public static @Nullable Volume of(
      @Nullable Long searches, @Nullable Long low, @Nullable Long high) {
    if (searches == null) {
      return null;
    }
    return low == null || high == null ? exactly(searches) : new Volume(searches, low, high);
  }

  /** An exact figure. */
  public static Volume exactly(long searches) {
    return new Volume(searches, searches, searches);
  }
}
