package osmerin.core.runup;

import java.util.Collection;
import java.util.OptionalDouble;

/** What the hours that steps really took suggest for their estimates. */
public final class Estimates {
  /** Fewer measured steps suggest nothing. */
  public static final int FEWEST = 5;

  private static final double QUARTERS_UP_TO = 2;

  private Estimates() {}

  /**
   * The estimate that measured hours suggest: their median, to a quarter of an hour up to two hours
   * and to half an hour above; never 0. The median, since one step that went wrong should not set
   * the plan for all.
   *
   * @param hours that the step took, each above 0
   * @return empty when fewer than {@link #FEWEST} were measured
   */
  public static OptionalDouble suggested(Collection<Double> hours) {
    if (hours.size() < FEWEST) {
      return OptionalDouble.empty();
    }
    double median = median(hours);
    double grain = median <= QUARTERS_UP_TO ? 0.25 : 0.5;
    return OptionalDouble.of(Math.max(0.25, Math.round(median / grain) * grain));
  }

  /**
   * The middle one, or the mean of the two in the middle.
   *
   * @throws IllegalArgumentException when there are none
   */
  public static double median(Collection<Double> hours) {
    if (hours.isEmpty()) {
      throw new IllegalArgumentException("no hours");
    }
    double[] sorted = hours.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    int half = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
  }
}
