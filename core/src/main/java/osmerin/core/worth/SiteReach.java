package osmerin.core.worth;

/**
 * What a site can reach.
 *
 * @param strength 0–100: how hard a keyword it can win
 * @param spread how fast the chance falls as difficulty rises above the strength, above 0; shipped
 *     as {@value #SHIPPED_SPREAD}
 * @param curve who clicks at which position
 */
public record SiteReach(double strength, double spread, ClickCurve curve) {
  static final double SHIPPED_SPREAD = 12;

  public SiteReach {
    if (!(strength >= 0 && strength <= 100)) {
      throw new IllegalArgumentException("strength " + strength + " is not between 0 and 100");
    }
    if (!(spread > 0)) {
      throw new IllegalArgumentException("spread " + spread + " is not above 0");
    }
  }

  /** A site of which only the strength is known. */
  public static SiteReach of(double strength) {
    return new SiteReach(strength, SHIPPED_SPREAD, ClickCurve.SHIPPED);
  }

  /** The same site at another strength. */
  public SiteReach at(double otherStrength) {
    return new SiteReach(otherStrength, spread, curve);
  }

  /**
   * The probability of reaching page one: {@code 1 / (1 + exp((difficulty − strength) / spread))}.
   *
   * @param difficulty 0–100
   */
  public double chance(double difficulty) {
    return 1 / (1 + Math.exp((difficulty - strength) / spread));
  }

  /** The difficulty at which the chance is this, above 0 and below 1; may lie outside 0–100. */
  public double difficultyAt(double chance) {
    return strength + spread * Math.log((1 - chance) / chance);
  }

  /** The position to expect at a chance: {@code 10 − 9 · chance}. */
  public double position(double chance) {
    return 10 - 9 * chance;
  }

  /** Weeks to page one. */
  public Weeks weeks(double difficulty) {
    return Weeks.shipped(difficulty - strength);
  }
}
