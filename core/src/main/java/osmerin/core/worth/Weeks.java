package osmerin.core.worth;

/**
 * Weeks from first publication to the first week on page one.
 *
 * @param low the lower quartile
 * @param high the upper quartile, not below {@code low}
 */
public record Weeks(int low, int high) {
  public Weeks {
    if (low < 0 || high < low) {
      throw new IllegalArgumentException("weeks " + low + " to " + high + " are no range");
    }
  }

  /**
   * What to expect until a site has quartiles of its own.
   *
   * @param gap difficulty less site strength
   */
  static Weeks shipped(double gap) {
    if (gap <= -30) {
      return new Weeks(2, 6);
    }
    if (gap <= -10) {
      return new Weeks(4, 10);
    }
    if (gap <= 10) {
      return new Weeks(8, 20);
    }
    return gap <= 30 ? new Weeks(16, 40) : new Weeks(32, 80);
  }

  @Override
  public String toString() {
    return low + "–" + high;
  }
}
