package osmerin.app.site;

import java.time.LocalDate;
import osmerin.app.platform.security.SignedIn;

/**
 * The site a request is about and the person who may see it. Only {@link SiteAccess} makes one, so
 * whoever holds one has been let in.
 *
 * @param today in the site's zone
 */
public record SiteContext(Site site, SignedIn person, LocalDate today) {
  public long siteId() {
    return site.id();
  }

  public long personId() {
    return person.id();
  }
}
