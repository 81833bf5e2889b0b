package osmerin.core.worth;

/**
 * The chance of page one by difficulty: {@code 1 / (1 + exp((difficulty − even) / spread))}.
 *
 * @param even the difficulty at which the chance is one half; may lie outside 0–100
 * @param spread how slowly the chance falls as difficulty rises, above 0
 */
public record Chances(double even, double spread) {
  /** Until a site has learned its own. */
  public static final double SHIPPED_SPREAD = 12;

  public Chances {
    if (!Double.isFinite(even)) {
      throw new IllegalArgumentException("even " + even + " is no difficulty");
    }
    if (!(spread > 0)) {
      throw new IllegalArgumentException("spread " + spread + " is not above 0");
    }
  }

  /** Even where difficulty equals the site's strength. */
  public static Chances shipped(double strength) {
    return new Chances(strength, SHIPPED_SPREAD);
  }

  /**
   * The probability of reaching page one, 0–1.
   *
   * @param difficulty 0–100
   */
  public double at(double difficulty) {
    return 1 / (1 + Math.exp((difficulty - even) / spread));
  }

  /** The difficulty at which the chance is this, above 0 and below 1; may lie outside 0–100. */
  public double difficultyAt(double chance) {
    return even + spread * Math.log((1 - chance) / chance);
  }

  Chances movedBy(double difficulty) {
    return new Chances(even + difficulty, spread);
  }
}
