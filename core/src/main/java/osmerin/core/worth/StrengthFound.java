package osmerin.core.worth;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A site's strength as its own positions tell it: the one at which the chances as shipped add up to
 * the keywords that stand on page one.
 *
 * @param strength 0–100, in whole numbers
 * @param keywords with a known difficulty for which the site's position is known
 * @param onPageOne how many of them stand on page one
 * @param sum the chances at that strength added up
 */
public record StrengthFound(int strength, int keywords, int onPageOne, double sum) {
  /** Fewer keywords say too little. */
  public static final int ENOUGH = 10;

  /** Fewer on page one, or elsewhere, say too little as well. */
  public static final int OF_EACH = 3;

  /** A strength at the end of the scale must explain the keywords as well as this. */
  private static final double FITS = 0.5;

  /**
   * A keyword with where the site stands for it.
   *
   * @param difficulty 0–100
   * @param position from 1, null when the site is not among those that rank
   */
  public record Stands(double difficulty, @Nullable Integer position) {}

  /**
   * Finds the strength; empty when there are fewer than {@value #ENOUGH} keywords, {@value
   * #OF_EACH} of them on page one and {@value #OF_EACH} not, or when no strength explains them.
   */
  public static Optional<StrengthFound> of(List<Stands> keywords) {
    int onPageOne = (int) keywords.stream().filter(k -> PageOne.includes(k.position())).count();
    boolean ofEach = Math.min(onPageOne, keywords.size() - onPageOne) >= OF_EACH;
    if (keywords.size() < ENOUGH || !ofEach) {
      return Optional.empty();
    }
    int best = 0;
    for (int strength = 1; strength <= 100; strength++) {
      if (Math.abs(sum(keywords, strength) - onPageOne)
          < Math.abs(sum(keywords, best) - onPageOne)) {
        best = strength;
      }
    }
    boolean atTheEnd = best == 0 || best == 100;
    if (atTheEnd && Math.abs(sum(keywords, best) - onPageOne) > FITS) {
      return Optional.empty();
    }
    return Optional.of(new StrengthFound(best, keywords.size(), onPageOne, sum(keywords, best)));
  }

  private static double sum(List<Stands> keywords, int strength) {
    Chances chances = Chances.shipped(strength);
    return keywords.stream().mapToDouble(k -> chances.at(k.difficulty())).sum();
  }
}
