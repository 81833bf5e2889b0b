package osmerin.core.worth;

import java.util.List;
import java.util.Optional;

/**
 * A site's strength as its own positions tell it: the one at which the chances as shipped add up to
 * the keywords that stand on page one.
 *
 * @param strength 0–100, in whole numbers
 * @param keywords with a known difficulty for which the site's position is known
 * @param onPageOne how many of them stand at 10 or better
 * @param sum the chances at that strength added up
 */
public record StrengthFound(int strength, int keywords, int onPageOne, double sum) {
  /** Fewer keywords say too little. */
  public static final int ENOUGH = 10;

  /** Fewer on page one, or elsewhere, say too little as well. */
  public static final int OF_EACH = 3;

  private static final int LAST_OF_PAGE_ONE = 10;

  /** A strength at the end of the scale must explain the keywords as well as this. */
  private static final double FITS = 0.5;

  /**
   * A keyword for which the site ranks.
   *
   * @param difficulty 0–100
   * @param position from 1
   */
  public record Stands(double difficulty, int position) {}

  /**
   * Finds the strength; empty when there are fewer than {@value #ENOUGH} keywords, {@value
   * #OF_EACH} of them on page one and {@value #OF_EACH} not, or when no strength explains them.
   */
  public static Optional<StrengthFound> of(List<Stands> keywords) {
    int onPageOne = (int) keywords.stream().filter(k -> k.position() <= LAST_OF_PAGE_ONE).count();
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
