package osmerin.core.worth;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A site's own chances, learned from what became of its articles: a logistic regression of reaching
 * page one on difficulty, with a ridge penalty that pulls towards the chances as shipped. Fitted by
 * Newton's method (T. Hastie, R. Tibshirani, J. Friedman, "The Elements of Statistical Learning",
 * 2nd edition, 4.4.1 and 3.4.1).
 *
 * @param shipped the chances without any outcome
 * @param fitted the site's own; null before there are {@value #ENOUGH} outcomes
 * @param bands how chance and outcome compare, by the chance that holds, the lowest first
 * @param outcomes how many there are
 */
public record Calibration(
    SiteReach shipped, @Nullable SiteReach fitted, List<Band> bands, int outcomes) {
  /** Fewer outcomes than these say nothing. */
  public static final int ENOUGH = 30;

  /** As many outcomes as the shipped chances weigh. */
  private static final double PENALTY = 4;

  private static final double TENS = 10;
  private static final int ROUNDS = 50;
  private static final int BANDS = 5;
  private static final double LEAST_SPREAD = 3;
  private static final double MOST_SPREAD = 60;

  /**
   * What became of an article.
   *
   * @param difficulty of its group, 0–100
   * @param reached whether it reached page one
   */
  public record Outcome(double difficulty, boolean reached) {}

  /**
   * Articles of about the same chance.
   *
   * @param from chance, 0–1
   * @param expected the mean of their chances
   * @param happened the part that reached page one
   */
  public record Band(double from, double to, int articles, double expected, double happened) {}

  public Calibration {
    bands = List.copyOf(bands);
  }

  /** Learns from outcomes. */
  public static Calibration of(SiteReach shipped, List<Outcome> outcomes) {
    SiteReach fitted = outcomes.size() < ENOUGH ? null : fit(shipped, outcomes);
    SiteReach holds = fitted == null ? shipped : fitted;
    return new Calibration(shipped, fitted, bands(holds, outcomes), outcomes.size());
  }

  /**
   * The mean squared difference of chance and outcome (G. W. Brier, 1950), 0 when every chance was
   * right for certain; the smaller the better.
   */
  public static double brier(SiteReach reach, List<Outcome> outcomes) {
    return outcomes.stream()
        .mapToDouble(o -> Math.pow(reach.chance(o.difficulty()) - (o.reached() ? 1 : 0), 2))
        .average()
        .orElse(0);
  }

  private static SiteReach fit(SiteReach shipped, List<Outcome> outcomes) {
    double[] line = new Fit(shipped, outcomes).line();
    // A chance that rises with difficulty is chance in another sense: noise.
    double spread =
        line[1] < 0 ? Math.min(MOST_SPREAD, Math.max(LEAST_SPREAD, -TENS / line[1])) : MOST_SPREAD;
    double strength = shipped.strength() + line[0] * spread;
    return new SiteReach(Math.min(100, Math.max(0, strength)), spread, shipped.curve());
  }

  /**
   * Chance = 1 / (1 + exp(−(a + b · x))), x being how many tens the difficulty is above the
   * strength.
   */
  private static final class Fit {
    private final double slope;
    private final double[] x;
    private final boolean[] reached;

    Fit(SiteReach shipped, List<Outcome> outcomes) {
      slope = -TENS / shipped.spread();
      x = new double[outcomes.size()];
      reached = new boolean[x.length];
      for (int i = 0; i < x.length; i++) {
        x[i] = (outcomes.get(i).difficulty() - shipped.strength()) / TENS;
        reached[i] = outcomes.get(i).reached();
      }
    }

    /** Where loss and penalty together are least: a, b. */
    double[] line() {
      double a = 0;
      double b = slope;
      for (int round = 0; round < ROUNDS; round++) {
        double[] step = step(a, b);
        double part = 1;
        // Newton's step may go too far where chances are near 0 or 1; then a part of it is taken.
        while (part > 1e-6 && loss(a + part * step[0], b + part * step[1]) > loss(a, b)) {
          part /= 2;
        }
        a += part * step[0];
        b += part * step[1];
        if (Math.abs(step[0]) + Math.abs(step[1]) < 1e-9) {
          break;
        }
      }
      return new double[] {a, b};
    }

    private double loss(double a, double b) {
      double loss = PENALTY / 2 * (a * a + (b - slope) * (b - slope));
      for (int i = 0; i < x.length; i++) {
        double score = a + b * x[i];
        loss += Math.log1p(Math.exp(-Math.abs(score))) + Math.max(score, 0);
        loss -= reached[i] ? score : 0;
      }
      return loss;
    }

    private double[] step(double a, double b) {
      double ga = -PENALTY * a;
      double gb = -PENALTY * (b - slope);
      double haa = PENALTY;
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
  }

  private static List<Band> bands(SiteReach reach, List<Outcome> outcomes) {
    List<Band> bands = new ArrayList<>();
    for (int i = 0; i < BANDS; i++) {
      double from = i / (double) BANDS;
      double to = (i + 1) / (double) BANDS;
      boolean last = i == BANDS - 1;
      List<Outcome> its =
          outcomes.stream()
              .filter(o -> reach.chance(o.difficulty()) >= from)
              .filter(o -> last || reach.chance(o.difficulty()) < to)
              .toList();
      if (!its.isEmpty()) {
        bands.add(
            new Band(
                from,
                to,
                its.size(),
                its.stream().mapToDouble(o -> reach.chance(o.difficulty())).average().orElse(0),
                its.stream().filter(Outcome::reached).count() / (double) its.size()));
      }
    }
    return bands;
  }
}
