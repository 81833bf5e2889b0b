package osmerin.app.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteService;
import osmerin.app.team.TeamService;
import osmerin.core.article.Kind;

/** Sets up the demo's sites with the people who work on them. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class DemoPeople {
  private static final String PASSWORD = "throw-glaze-fire";

  private final TeamService team;
  private final SiteService sites;
  private final ArticleTypeService types;
  private final DemoMapper ageing;
  private final Map<String, Long> people = new HashMap<>();

  DemoPeople(TeamService team, SiteService sites, ArticleTypeService types, DemoMapper ageing) {
    this.team = team;
    this.sites = sites;
    this.types = types;
    this.ageing = ageing;
  }

  boolean areNone() {
    return team.isEmpty();
  }

  /** A new site; roles are per site, so somebody may write for one and edit another. */
  DemoSite found(
      String name, String prefix, Map<String, Role> roles, Random random, Instant loadedSince) {
    String address = name.toLowerCase(Locale.ROOT).replace(" ", "") + ".example";
    Site site = sites.add(name, address, prefix, "Europe/London", List.of(1, 2, 3, 4, 5));
    types.shipTo(site.id());
    new TreeMap<>(roles).forEach((person, role) -> team.join(site.id(), id(person), role));
    addHolidays(site);
    DemoMonth month = new DemoMonth(sites.today(site), sites.calendar(site));
    return new DemoSite(site, people, roles, typeIds(site), month, random, loadedSince);
  }

  private long id(String person) {
    return people.computeIfAbsent(person, name -> team.add(login(name), name, null, PASSWORD));
  }

  private static String login(String name) {
    return name.substring(0, name.indexOf(' ')).toLowerCase(Locale.ROOT);
  }

  private void addHolidays(Site site) {
    int year = sites.today(site).getYear();
    for (int y = year - 2; y <= year + 1; y++) {
      sites.addHoliday(site, LocalDate.of(y, 1, 1), "New Year's Day");
      sites.addHoliday(site, LocalDate.of(y, 12, 25), "Christmas Day");
      sites.addHoliday(site, LocalDate.of(y, 12, 26), "Boxing Day");
    }
  }

  private Map<String, Long> typeIds(Site site) {
    Map<String, Long> ids = new HashMap<>();
    for (Kind kind : Kind.values()) {
      types
          .list(site.id(), kind)
          .forEach(type -> ids.put(type.name().toLowerCase(Locale.ROOT), type.id()));
    }
    return ids;
  }

  /** Ends loading: mail addresses come last, so that nothing is sent for what is only loaded. */
  void settle() {
    people.forEach((name, id) -> ageing.setMail(id, login(name) + "@marlpit.example"));
    ageing.analyze();
  }
}
