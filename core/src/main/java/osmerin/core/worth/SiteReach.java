package osmerin.core.worth;

/**
 * What a site can reach.
 *
 * @param strength 0–100: how hard a keyword it can win
 * @param chances of page one: as shipped for the strength, or the site's own
 * @param curve who clicks at which position
 */
public record SiteReach(double strength, Chances chances, ClickCurve curve) {
  public SiteReach {
    if (!(strength >= 0 && strength <= 100)) {
      throw new IllegalArgumentException("strength " + strength + " is not between 0 and 100");
    }
  }

  /** A site of which only the strength is known. */
  public static SiteReach of(double strength) {
    return new SiteReach(strength, Chances.shipped(strength), ClickCurve.SHIPPED);
  }

  /** The same site with chances of its own. */
  public SiteReach with(Chances own) {
    return new SiteReach(strength, own, curve);
  }

  /** The same site at another strength; its chances move along. */
  public SiteReach at(double otherStrength) {
    return new SiteReach(otherStrength, chances.movedBy(otherStrength - strength), curve);
  }

  /**
   * The probability of reaching page one.
   *
   * @param difficulty 0–100
   */
  public double chance(double difficulty) {
    return chances.at(difficulty);
  }

  /** The difficulty at which the chance is this, above 0 and below 1; may lie outside 0–100. */
  public double difficultyAt(double chance) {
    return chances.difficultyAt(chance);
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
