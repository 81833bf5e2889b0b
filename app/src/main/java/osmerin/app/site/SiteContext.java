package osmerin.app.site;

import java.time.LocalDate;
import java.util.Locale;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.ForbiddenException;

/**
 * The site a request is about, and the person and their role there. Only {@link SiteAccess} makes
 * one for a request, so whoever holds one has been let in.
 *
 * @param today in the site's zone
 */
public record SiteContext(Site site, SignedIn person, Role role, LocalDate today) {
  public long siteId() {
    return site.id();
  }

  public long personId() {
    return person.id();
  }

  /** The first part of the site's addresses: "/marlpit". */
  public String base() {
    return "/" + site.slug();
  }

  public boolean may(Right right) {
    return right.isGivenTo(role);
  }

  /**
   * @throws ForbiddenException when the person's role lacks the right
   */
  public void require(Right right) {
    if (!may(right)) {
      throw new ForbiddenException(
          "You are %s %s here. This takes %s. Nothing was changed."
              .formatted(
                  role == Role.EDITOR || role == Role.OWNER ? "an" : "a",
                  role.label().toLowerCase(Locale.ROOT),
                  right.who()));
    }
  }
}
