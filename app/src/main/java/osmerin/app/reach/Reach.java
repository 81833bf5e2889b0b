package osmerin.app.reach;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Demand;
import osmerin.core.intent.FunnelStage;
import osmerin.core.worth.SiteReach;
import osmerin.core.worth.Worth;

/**
 * What a site can reach, and what a visit is worth to it.
 *
 * @param strength 0–100
 * @param awareness value of a visit at that funnel stage in the site's currency, null when unknown
 * @param consideration the same
 * @param decision the same
 * @param hours of work on an article of the first type
 * @param typeName of that type
 * @param site as chances are reckoned with it: as set, or as learned
 */
public record Reach(
    int strength,
    @Nullable BigDecimal awareness,
    @Nullable BigDecimal consideration,
    @Nullable BigDecimal decision,
    int version,
    double hours,
    String typeName,
    SiteReach site) {

  /** What an article that answers a group is worth. */
  public Worth worth(Demand demand) {
    return Worth.of(demand, site, hours);
  }

  /** The strength that chances are reckoned with, in whole numbers: as set, or as learned. */
  public int held() {
    return (int) Math.round(site.strength());
  }

  /** The site at another strength. */
  public SiteReach at(int otherStrength) {
    return otherStrength == held() ? site : site.at(otherStrength);
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
