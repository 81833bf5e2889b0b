package osmerin.core.worth;

import java.util.Map;
import java.util.TreeMap;

/**
 * The share of those who search that click on a result, by its position from 1 to 10. Shipped as
 * {@code 0.28 · position^−1.1}; a site's own shares replace it position by position.
 */
public final class ClickCurve {
  /** What one ships with. */
  public static final ClickCurve SHIPPED = new ClickCurve(Map.of());

  private static final int LAST = 10;
  private static final double AT_THE_TOP = 0.28;
  private static final double FALL = -1.1;

  private final double[] shares = new double[LAST + 1];

  /**
   * A curve with a site's own shares.
   *
   * @param own share of clicks, 0–1, by position, 1–10; the other positions are as shipped
   */
  public ClickCurve(Map<Integer, Double> own) {
    for (int position = 1; position <= LAST; position++) {
      shares[position] = AT_THE_TOP * Math.pow(position, FALL);
    }
    new TreeMap<>(own).forEach(this::replace);
  }

  private void replace(int position, double share) {
    if (position < 1 || position > LAST) {
      throw new IllegalArgumentException("position " + position + " is not between 1 and " + LAST);
    }
    if (!(share >= 0 && share <= 1)) {
      throw new IllegalArgumentException("share of clicks " + share + " is not between 0 and 1");
    }
    shares[position] = share;
  }

  /**
   * The share at a position, between two whole ones in proportion.
   *
   * @param position 1–10
   */
  public double share(double position) {
    if (!(position >= 1 && position <= LAST)) {
      throw new IllegalArgumentException("position " + position + " is not between 1 and " + LAST);
    }
    int before = (int) Math.floor(position);
    if (before == LAST) {
      return shares[LAST];
    }
    double beyond = position - before;
    return shares[before] * (1 - beyond) + shares[before + 1] * beyond;
  }
}
