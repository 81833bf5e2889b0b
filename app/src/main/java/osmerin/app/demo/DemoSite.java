package osmerin.app.demo;

import java.time.Instant;
import java.util.Map;
import java.util.Random;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;

/**
 * A site while it is being loaded.
 *
 * @param people by name
 * @param roles of the people of this site, by name
 * @param typeIds of its article types and depths of refresh, by name in lower case
 * @param loadedSince when loading began
 */
record DemoSite(
    Site site,
    Map<String, Long> people,
    Map<String, Role> roles,
    Map<String, Long> typeIds,
    DemoMonth month,
    Random random,
    Instant loadedSince) {

  /** A person at work on it. */
  SiteContext as(String name) {
    SignedIn person = new SignedIn(people.get(name), name, name, "", "");
    return new SiteContext(site, person, roles.get(name), month.today());
  }

  String oneOf(String... names) {
    return names[random.nextInt(names.length)];
  }
}
