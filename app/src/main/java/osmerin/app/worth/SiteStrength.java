package osmerin.app.worth;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Demand;
import osmerin.core.intent.FunnelStage;
import osmerin.core.worth.Effort;
import osmerin.core.worth.SiteReach;
import osmerin.core.worth.Worth;

/**
 * What a site can reach, and what a visit is worth to it.
 *
 * @param said the strength that a person set, 0–100; null while nobody has
 * @param awareness value of a visit at that funnel stage in the site's currency, null when unknown
 * @param consideration the same
 * @param decision the same
 * @param effort of an article of the first type
 * @param typeName of that type
 * @param learned whether its chances are those learned from its own articles
 * @param site with the chances that are in force
 */
public record SiteStrength(
    @Nullable Integer said,
    @Nullable BigDecimal awareness,
    @Nullable BigDecimal consideration,
    @Nullable BigDecimal decision,
    int version,
    Effort effort,
    String typeName,
    boolean learned,
    SiteReach site) {
  /** Assumed until somebody says otherwise: a blog of some years without a great name. */
  public static final int ASSUMED_STRENGTH = 25;

  /**
   * What an article that answers a group is worth.
   *
   * @param wordTarget of the evidence kept for its primary keyword, null when there is none
   */
  public Worth worth(Demand demand, @Nullable Integer wordTarget) {
    return Worth.of(demand, site, effort.hours(wordTarget));
  }

  /** The strength that is in force. */
  public int strength() {
    return said == null ? ASSUMED_STRENGTH : said;
  }

  /** Whether the strength is assumed, since nobody has set one. */
  public boolean assumed() {
    return said == null;
  }

  /** The site at another strength. */
  public SiteReach at(int otherStrength) {
    return otherStrength == strength() ? site : site.at(otherStrength);
  }

  /** What a visit is worth; null when nobody has said. */
  public @Nullable Double perVisit(FunnelStage stage) {
    BigDecimal value =
        switch (stage) {
          case AWARENESS -> awareness;
          case CONSIDERATION -> consideration;
          case DECISION -> decision;
        };
    return value == null ? null : value.doubleValue();
  }

  /** Whether somebody has said what any visit is worth. */
  public boolean hasValues() {
    return awareness != null || consideration != null || decision != null;
  }
}
