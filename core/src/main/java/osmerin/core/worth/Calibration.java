package osmerin.core.worth;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * How well chances match what became of a site's articles: those as shipped, and the site's own,
 * learned from the outcomes. The site's own are judged on articles they were not learned from, by
 * {@value #FOLDS} folds (the last digit of the article number).
 *
 * @param shipped the chances at the site's strength
 * @param learned the site's own; null before there are {@value #ENOUGH} outcomes, {@value #OF_EACH}
 *     of them on page one and {@value #OF_EACH} not
 * @param outcomes how many there are
 * @param reached how many of them reached page one
 */
public record Calibration(Judged shipped, @Nullable Judged learned, int outcomes, int reached) {
  /** Fewer outcomes than these say nothing. */
  public static final int ENOUGH = 30;

  /** Fewer than these on page one, or elsewhere, say nothing. */
  public static final int OF_EACH = 3;

  private static final int FOLDS = 10;
  private static final double[] BORDERS = {0, 0.05, 0.1, 0.2, 0.4, 0.6, 0.8, 1};

  /**
   * Chances and how they did.
   *
   * @param bands by chance, the lowest first; those without an article are left out
   * @param brier the mean squared difference of chance and outcome (G. W. Brier, 1950): 0 when
   *     every chance was right for certain, the smaller the better
   */
  public record Judged(Chances chances, List<Band> bands, double brier) {
    public Judged {
      bands = List.copyOf(bands);
    }
  }

  /**
   * Articles of about the same chance.
   *
   * @param from chance, 0–1
   * @param expected the mean of their chances
   * @param happened the share that reached page one
   */
  public record Band(double from, double to, int articles, double expected, double happened) {}

  /** Learns from outcomes and judges. */
  public static Calibration of(double strength, List<Outcome> outcomes) {
    Chances shipped = Chances.shipped(strength);
    int reached = (int) outcomes.stream().filter(Outcome::reached).count();
    boolean enough =
        outcomes.size() >= ENOUGH && Math.min(reached, outcomes.size() - reached) >= OF_EACH;
    return new Calibration(
        judged(shipped, outcomes, o -> shipped.at(o.difficulty())),
        enough ? learned(shipped, outcomes) : null,
        outcomes.size(),
        reached);
  }

  private static Judged learned(Chances shipped, List<Outcome> outcomes) {
    List<Chances> apart =
        IntStream.range(0, FOLDS).mapToObj(fold -> without(fold, outcomes, shipped)).toList();
    return judged(
        LearnedChances.of(outcomes), outcomes, o -> apart.get(fold(o)).at(o.difficulty()));
  }

  private static int fold(Outcome outcome) {
    return Math.floorMod(outcome.article(), FOLDS);
  }

  /** Learned from the other folds; as shipped where those all ended the same way. */
  private static Chances without(int fold, List<Outcome> outcomes, Chances shipped) {
    List<Outcome> others = outcomes.stream().filter(o -> fold(o) != fold).toList();
    long kinds = others.stream().map(Outcome::reached).distinct().count();
    return kinds < 2 ? shipped : LearnedChances.of(others);
  }

  private static Judged judged(
      Chances chances, List<Outcome> outcomes, ToDoubleFunction<Outcome> chance) {
    List<Band> bands = new ArrayList<>();
    for (int i = 1; i < BORDERS.length; i++) {
      double from = BORDERS[i - 1];
      double to = BORDERS[i];
      boolean last = i == BORDERS.length - 1;
      List<Outcome> its =
          outcomes.stream()
              .filter(o -> chance.applyAsDouble(o) >= from)
              .filter(o -> last || chance.applyAsDouble(o) < to)
              .toList();
      if (!its.isEmpty()) {
        double expected = its.stream().mapToDouble(chance).average().orElseThrow();
        double happened = its.stream().filter(Outcome::reached).count() / (double) its.size();
        bands.add(new Band(from, to, its.size(), expected, happened));
      }
    }
    double brier =
        outcomes.stream()
            .mapToDouble(o -> Math.pow(chance.applyAsDouble(o) - (o.reached() ? 1 : 0), 2))
            .average()
            .orElse(0);
    return new Judged(chances, bands, brier);
  }
}
