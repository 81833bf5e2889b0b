package osmerin.core.worth;

import java.util.Comparator;
import java.util.List;

/**
 * A logistic regression of reaching page one on difficulty (T. Hastie, R. Tibshirani, J. Friedman,
 * "The Elements of Statistical Learning", 2nd edition, 4.4.1). The slope has a ridge penalty
 * (3.4.1) that pulls it to the one as shipped, and bounds; the intercept has neither and is fitted
 * last, so that the mean chance equals the share that reached page one.
 */
final class LearnedChances {
  static final double LEAST_SPREAD = 3;
  static final double MOST_SPREAD = 60;

  /**
   * The slope as shipped weighs as much as so many outcomes of an even chance, ten points of
   * difficulty from the mean.
   */
  static final int WEIGHT = 16;

  /** An outcome of an even chance tells of the slope by p · (1 − p) · x², x being 1 there. */
  private static final double PENALTY = WEIGHT * 0.25;

  private static final double TENS = 10;
  private static final double SHIPPED_SLOPE = -TENS / Chances.SHIPPED_SPREAD;
  private static final int ROUNDS = 100;
  private static final double LEAST_PART = 1e-6;

  private final double[] x;
  private final boolean[] reached;
  private final double mean;

  private LearnedChances(List<Outcome> outcomes) {
    // One order, so that sums are the same to the last bit.
    List<Outcome> ordered =
        outcomes.stream()
            .sorted(Comparator.comparingDouble(Outcome::difficulty).thenComparing(Outcome::reached))
            .toList();
    mean = ordered.stream().mapToDouble(Outcome::difficulty).average().orElseThrow();
    x = ordered.stream().mapToDouble(o -> (o.difficulty() - mean) / TENS).toArray();
    reached = new boolean[x.length];
    for (int i = 0; i < x.length; i++) {
      reached[i] = ordered.get(i).reached();
    }
  }

  /**
   * @param outcomes at least one that reached page one, and one that did not
   */
  static Chances of(List<Outcome> outcomes) {
    LearnedChances fit = new LearnedChances(outcomes);
    double slope = fit.slope();
    // A chance that rises with difficulty tells of something else.
    double spread =
        slope < 0 ? Math.min(MOST_SPREAD, Math.max(LEAST_SPREAD, -TENS / slope)) : MOST_SPREAD;
    return fit.withMeanOfReached(spread);
  }

  /** Newton's method on intercept a and slope b: chance = 1 / (1 + exp(−(a + b · x))). */
  private double slope() {
    double a = 0;
    double b = SHIPPED_SLOPE;
    for (int round = 0; round < ROUNDS; round++) {
      double[] step = step(a, b);
      double part = part(a, b, step);
      if (part < LEAST_PART || Math.abs(step[0]) + Math.abs(step[1]) < 1e-10) {
        break;
      }
      a += part * step[0];
      b += part * step[1];
    }
    return b;
  }

  /**
   * How much of a step is taken: a whole one may go too far where chances are near 0 or 1. At the
   * end of the way no part makes the loss any smaller.
   */
  private double part(double a, double b, double[] step) {
    double now = loss(a, b);
    double part = 1;
    while (part >= LEAST_PART && loss(a + part * step[0], b + part * step[1]) > now) {
      part /= 2;
    }
    return part;
  }

  private double loss(double a, double b) {
    double loss = PENALTY / 2 * (b - SHIPPED_SLOPE) * (b - SHIPPED_SLOPE);
    for (int i = 0; i < x.length; i++) {
      double score = a + b * x[i];
      loss += Math.log1p(Math.exp(-Math.abs(score))) + Math.max(score, 0);
      loss -= reached[i] ? score : 0;
    }
    return loss;
  }

  private double[] step(double a, double b) {
    double ga = 0;
    double gb = -PENALTY * (b - SHIPPED_SLOPE);
    double haa = 0;
    double hab = 0;
    double hbb = PENALTY;
    for (int i = 0; i < x.length; i++) {
      double p = 1 / (1 + Math.exp(-(a + b * x[i])));
      double off = (reached[i] ? 1 : 0) - p;
      double weight = p * (1 - p);
      ga += off;
      gb += off * x[i];
      haa += weight;
      hab += weight * x[i];
      hbb += weight * x[i] * x[i];
    }
    double det = haa * hbb - hab * hab;
    return new double[] {(hbb * ga - hab * gb) / det, (haa * gb - hab * ga) / det};
  }

  /** The mean chance rises with the even difficulty, so halving finds it. */
  private Chances withMeanOfReached(double spread) {
    int count = 0;
    for (boolean one : reached) {
      count += one ? 1 : 0;
    }
    double low = mean - 100 * MOST_SPREAD;
    double high = mean + 100 * MOST_SPREAD;
    while (true) {
      double middle = (low + high) / 2;
      Chances chances = new Chances(middle, spread);
      if (middle <= low || middle >= high) {
        return chances;
      }
      double sum = 0;
      for (double tens : x) {
        sum += chances.at(mean + TENS * tens);
      }
      if (sum < count) {
        low = middle;
      } else {
        high = middle;
      }
    }
  }
}
