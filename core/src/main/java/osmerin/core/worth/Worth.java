package osmerin.core.worth;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Demand;
import osmerin.core.keyword.Volume;

/**
 * What an article that answers a group is worth, with every part of the sum. What is not known
 * makes unknown what follows from it, never zero.
 *
 * @param demand what people search for
 * @param chance of page one, 0–1; null when the difficulty is unknown
 * @param position to expect, 1–10; null like the chance
 * @param clickShare at that position, 0–1; null like the chance
 * @param visits a month: {@code chance · searches · clickShare}; null when the chance or the
 *     searches are unknown
 * @param weeks to page one; null when the difficulty is unknown
 * @param hours of work, above 0
 * @param yield visits a year for each hour of work: {@code 12 · visits / hours}; null when the
 *     visits are unknown
 */
public record Worth(
    Demand demand,
    @Nullable Double chance,
    @Nullable Double position,
    @Nullable Double clickShare,
    @Nullable Double visits,
    @Nullable Weeks weeks,
    double hours,
    @Nullable Double yield) {
  private static final int MONTHS = 12;

  /**
   * Works the worth of a group out.
   *
   * @param hours of work on the article, above 0
   */
  public static Worth of(Demand demand, SiteReach site, double hours) {
    Double difficulty = demand.difficulty();
    if (difficulty == null) {
      return at(demand, site, Reached.NOWHERE, hours);
    }
    double chance = site.chance(difficulty);
    Reached reached = new Reached(chance, site.position(chance), site.weeks(difficulty));
    return at(demand, site, reached, hours);
  }

  /**
   * The same at a position of somebody's choice, reached for certain.
   *
   * @param position 1–10
   */
  public static Worth atPosition(Demand demand, SiteReach site, double hours, double position) {
    Double difficulty = demand.difficulty();
    Weeks weeks = difficulty == null ? null : site.weeks(difficulty);
    return at(demand, site, new Reached(1.0, position, weeks), hours);
  }

  /** Where an article may stand, how likely, and after how long; null where that is not known. */
  private record Reached(
      @Nullable Double chance, @Nullable Double position, @Nullable Weeks weeks) {
    private static final Reached NOWHERE = new Reached(null, null, null);
  }

  private static Worth at(Demand demand, SiteReach site, Reached reached, double hours) {
    if (!(hours > 0)) {
      throw new IllegalArgumentException("hours " + hours + " are not above 0");
    }
    Double chance = reached.chance();
    Double position = reached.position();
    Double share = position == null ? null : site.curve().share(position);
    Double visits =
        share == null || chance == null || demand.searches() == null
            ? null
            : chance * demand.searches() * share;
    Double yield = visits == null ? null : MONTHS * visits / hours;
    return new Worth(demand, chance, position, share, visits, reached.weeks(), hours, yield);
  }

  /** The visits a month at both ends of the searches; null when the visits are unknown. */
  public @Nullable Span visitsSpan() {
    return span(1);
  }

  /** The yield at both ends of the searches; null when the yield is unknown. */
  public @Nullable Span yieldSpan() {
    return span(MONTHS / hours);
  }

  private @Nullable Span span(double times) {
    if (visits == null) {
      return null;
    }
    double each = Objects.requireNonNull(chance) * Objects.requireNonNull(clickShare) * times;
    Volume volume = Objects.requireNonNull(demand.volume());
    return new Span(each * volume.low(), each * volume.high());
  }

  /** A figure that follows from a range: its lower and its upper end, equal when it is exact. */
  public record Span(double low, double high) {
    public boolean isRange() {
      return low != high;
    }
  }

  /**
   * Value a year for each hour of work; null when the visits or the value are unknown.
   *
   * @param perVisit what a visit is worth, in the site's currency
   */
  public @Nullable Double value(@Nullable Double perVisit) {
    return yield == null || perVisit == null ? null : yield * perVisit;
  }
}
