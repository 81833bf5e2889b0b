package osmerin.app.site;

import java.text.Normalizer;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import osmerin.app.platform.security.SignedIn;
import osmerin.core.workday.WorkCalendar;

/** Sites, their calendars and their days. */
@Service
public class SiteService {
  /** First parts of addresses that belong to no site, some of them open to strangers. */
  private static final Set<String> RESERVED =
      Set.of(
          "sign-in",
          "sign-out",
          "welcome",
          "forgotten",
          "password",
          "invitation",
          "sites",
          "error",
          "css",
          "js",
          "fonts",
          "webjars",
          "actuator");

  private final SiteMapper sites;
  private final Clock clock;

  SiteService(SiteMapper sites, Clock clock) {
    this.sites = sites;
    this.clock = clock;
  }

  /** The site of this name when the person works on it. */
  public Optional<SiteContext> findFor(String slug, SignedIn person) {
    return sites
        .findFor(slug, person.id())
        .flatMap(
            site ->
                sites
                    .findRole(site.id(), person.id())
                    .map(role -> new SiteContext(site, person, role, today(site))));
  }

  /**
   * What Osmerin does by itself, for a person who asked for it earlier and was allowed to then.
   *
   * @param person whom the history names
   */
  public SiteContext onBehalfOf(long siteId, SignedIn person) {
    Site site = sites.get(siteId);
    return new SiteContext(site, person, Role.OWNER, today(site));
  }

  /** The site that the person looked at last, if they still work there. */
  public Optional<Site> lastOf(long personId) {
    return sites.findLast(personId);
  }

  /** The person looks at this site now. */
  @Transactional
  public void entered(SiteContext context) {
    sites.setLast(context.personId(), context.siteId());
  }

  /** The sites a person works on, by name. */
  public List<Site> of(long personId) {
    return sites.of(personId);
  }

  /** Every site, for what Osmerin does by itself. */
  public List<Site> all() {
    return sites.all();
  }

  /** The site that the current request has been let into, if any. */
  public Optional<SiteContext> current() {
    return Optional.ofNullable(RequestContextHolder.getRequestAttributes())
        .map(
            r ->
                (SiteContext)
                    r.getAttribute(SiteAccess.ATTRIBUTE, RequestAttributes.SCOPE_REQUEST));
  }

  public LocalDate today(Site site) {
    return LocalDate.now(clock.withZone(site.zoneId()));
  }

  /** Working week and holidays. */
  public WorkCalendar calendar(Site site) {
    var week = site.workingWeek().stream().map(DayOfWeek::of).collect(Collectors.toSet());
    return new WorkCalendar(week, new HashSet<>(sites.holidays(site.id())));
  }

  /** Adds a site; its name in addresses is made from its name. */
  @Transactional
  public Site add(String name, String address, String prefix, String zone, List<Integer> week) {
    String slug = slug(name);
    for (int i = 2; sites.isTaken(slug); i++) {
      slug = slug(name) + "-" + i;
    }
    return sites.get(
        sites.insert(new SiteMapper.Made(slug, name.strip(), address.strip(), prefix, zone, week)));
  }

  /**
   * Changes a site's settings; its addresses stay.
   *
   * @param wanted the site as it is to be, with the version that was seen
   * @return false when somebody was faster
   */
  @Transactional
  public boolean change(Site wanted) {
    return sites.change(wanted) == 1;
  }

  public Site get(long siteId) {
    return sites.get(siteId);
  }

  /** Holidays from a day on, the next first. */
  public List<Holiday> holidays(Site site, LocalDate from) {
    return sites.namedHolidays(site.id(), from);
  }

  /** False when the day is a holiday already. */
  @Transactional
  public boolean addHoliday(Site site, LocalDate day, String name) {
    return sites.addHoliday(site.id(), day, name) == 1;
  }

  /** The name that the holiday had; empty when the day was none. */
  @Transactional
  public Optional<String> removeHoliday(Site site, LocalDate day) {
    return sites.removeHoliday(site.id(), day);
  }

  static String slug(String name) {
    String plain = Normalizer.normalize(name, Normalizer.Form.NFKD).replaceAll("\\p{M}", "");
    String slug =
        plain.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    if (slug.isEmpty()) {
      return "site";
    }
    return RESERVED.contains(slug) ? slug + "-site" : slug;
  }
}
