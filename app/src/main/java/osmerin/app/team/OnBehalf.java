package osmerin.app.team;

import org.springframework.stereotype.Component;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;

/** Acting for a person who is not there: work that they ordered, or what they do by a link. */
@Component
public class OnBehalf {
  private final SiteService sites;
  private final TeamService team;

  OnBehalf(SiteService sites, TeamService team) {
    this.sites = sites;
    this.team = team;
  }

  /** For somebody who asked for it earlier and was allowed to then. */
  public SiteContext of(long siteId, long personId) {
    return sites.onBehalfOf(siteId, team.signedIn(personId));
  }

  /** As a guest, to whom nothing but their own steps is open. */
  public SiteContext guest(long siteId, long personId) {
    Site site = sites.get(siteId);
    return new SiteContext(site, team.signedIn(personId), Role.GUEST, sites.today(site));
  }
}
