package osmerin.core.evidence;

import java.util.Arrays;

/** Quartiles by linear interpolation between order statistics (Hyndman and Fan's definition 7). */
public record Quartiles(double lower, double median, double upper) {
  /** Of at least one value. */
  public static Quartiles of(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return new Quartiles(at(sorted, 0.25), at(sorted, 0.5), at(sorted, 0.75));
  }

  private static double at(double[] sorted, double share) {
    double place = share * (sorted.length - 1);
    int below = (int) Math.floor(place);
    int above = (int) Math.ceil(place);
    return sorted[below] + (place - below) * (sorted[above] - sorted[below]);
  }
}
