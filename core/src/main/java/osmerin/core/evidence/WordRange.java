package osmerin.core.evidence;

/**
 * How long an article should be, in words.
 *
 * @param low lower quartile of the ranking pages, or what a person set
 * @param target their median
 * @param high upper quartile
 */
public record WordRange(int low, int target, int high) {
  public WordRange {
    if (low < 0 || target < low || high < target) {
      throw new IllegalArgumentException(
          "word range " + low + " ≤ " + target + " ≤ " + high + " does not hold");
    }
  }

  public boolean contains(int words) {
    return words >= low && words <= high;
  }
}
