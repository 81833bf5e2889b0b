package osmerin.app.setup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteName;
import osmerin.app.site.SiteService;
import osmerin.app.team.TeamService;
import osmerin.core.article.ReferenceNumber;

/** Setting sites up: their settings and holidays, and further sites. */
@Service
public class SiteSetupService implements Reversal {
  private static final String NAME = "Name";
  private static final String ADDRESS = "Address";
  private static final String ZONE = "Time zone";
  private static final String WEEK = "Working week";
  private static final String HOLIDAY = "Holiday";
  private static final List<Integer> MONDAY_TO_FRIDAY = List.of(1, 2, 3, 4, 5);

  private final SiteService sites;
  private final ArticleTypeService types;
  private final TeamService team;
  private final History history;

  SiteSetupService(SiteService sites, ArticleTypeService types, TeamService team, History history) {
    this.sites = sites;
    this.types = types;
    this.team = team;
    this.history = history;
  }

  /** What is wrong with the name and zone of a site; for each field what to do about it. */
  static Map<String, String> faults(String name, String zone) {
    Map<String, String> faults = new LinkedHashMap<>();
    SiteName.fault(name).ifPresent(fault -> faults.put("name", fault));
    if (!ZoneId.getAvailableZoneIds().contains(zone)) {
      faults.put("zone", "Choose a time zone from the list.");
    }
    return faults;
  }

  /**
   * Adds a further site; whoever adds it owns it.
   *
   * @return for each field at fault what to do about it; empty when it was done
   */
  @Transactional
  public Map<String, String> add(
      long personId, String name, String address, String prefix, String zone) {
    if (!ownsASite(personId)) {
      throw new NotFoundException("page", "sites");
    }
    Map<String, String> faults = faults(name, zone);
    String upper = prefix.strip().toUpperCase(Locale.ROOT);
    if (!ReferenceNumber.isPrefix(upper)) {
      faults.put("prefix", "Take 1 to 6 letters or digits, the first a letter.");
    }
    if (faults.isEmpty()) {
      Site site = sites.add(name, address, upper, zone, MONDAY_TO_FRIDAY);
      types.shipTo(site.id());
      team.join(site.id(), personId, Role.OWNER);
    }
    return faults;
  }

  /** Whether a person owns a site and may so add another. */
  boolean ownsASite(long personId) {
    return sites.of(personId).stream()
        .anyMatch(
            site ->
                team.people(site.id()).stream()
                    .anyMatch(p -> p.id() == personId && p.role() == Role.OWNER));
  }

  /**
   * Changes the settings of a site.
   *
   * @param seen the version the person saw
   * @return for each field at fault what to do about it; empty when it was done
   */
  @Transactional
  public Map<String, String> change(SiteContext context, SiteSettings wanted, int seen) {
    context.require(Right.MANAGE);
    Map<String, String> faults = faults(wanted.name(), wanted.zone());
    if (wanted.workingWeek().isEmpty()) {
      faults.put("week", "A week has at least one working day.");
    }
    if (!faults.isEmpty()) {
      return faults;
    }
    Site now = context.site();
    if (!sites.change(
        now.with(wanted.name(), wanted.address(), wanted.zone(), wanted.workingWeek(), seen))) {
      throw new ConflictException(
          new ConflictException.Field(now.name(), "Settings"),
          words(now.name(), now.address(), now.zone(), now.workingWeek()),
          words(wanted.name(), wanted.address(), wanted.zone(), wanted.workingWeek()),
          history.lastBy(context, Thing.SITE, now.id(), null),
          Map.of("seen", String.valueOf(now.version())));
    }
    history.note(
        context, Right.MANAGE, "The settings of the site were changed.", changes(now, wanted));
    return faults;
  }

  private static List<Change> changes(Site now, SiteSettings wanted) {
    List<Change> changes = new ArrayList<>();
    add(changes, now, NAME, now.name(), wanted.name().strip());
    add(changes, now, ADDRESS, now.address(), wanted.address().strip());
    add(changes, now, ZONE, now.zone(), wanted.zone());
    if (!now.workingWeek().equals(wanted.workingWeek())) {
      changes.add(
          Change.of(Thing.SITE, now.id(), WEEK, days(now.workingWeek()), days(wanted.workingWeek()))
              .keeping(new KeptWeek(now.workingWeek()), new KeptWeek(wanted.workingWeek())));
    }
    return changes;
  }

  private static void add(
      List<Change> changes, Site site, String field, String before, String after) {
    if (!before.equals(after)) {
      changes.add(Change.of(Thing.SITE, site.id(), field, before, after));
    }
  }

  private static String words(String name, String address, String zone, List<Integer> week) {
    return String.join("; ", name, address, zone, days(week));
  }

  private static String days(List<Integer> week) {
    return week.stream()
        .map(d -> DayOfWeek.of(d).getDisplayName(TextStyle.SHORT, Locale.ENGLISH))
        .collect(Collectors.joining(", "));
  }

  @Transactional
  public void addHoliday(SiteContext context, LocalDate day, String name) {
    context.require(Right.MANAGE);
    if (name.isBlank() || name.length() > 100) {
      throw new RefusedException("Give the holiday a name of at most 100 characters.");
    }
    if (!sites.addHoliday(context.site(), day, name.strip())) {
      throw new RefusedException(In.dayAndYear(day) + " is a holiday already.");
    }
    String words = In.dayAndYear(day) + ", " + name.strip();
    history.note(
        context,
        Right.MANAGE,
        words + " is a holiday.",
        Change.of(Thing.SITE, context.siteId(), HOLIDAY, null, words)
            .keeping(null, new KeptHoliday(day, name.strip())));
  }

  @Transactional
  public void removeHoliday(SiteContext context, LocalDate day) {
    context.require(Right.MANAGE);
    String name =
        sites
            .removeHoliday(context.site(), day)
            .orElseThrow(() -> new NotFoundException("holiday", day));
    String words = In.dayAndYear(day) + ", " + name;
    history.note(
        context,
        Right.MANAGE,
        words + " is a holiday no longer.",
        Change.of(Thing.SITE, context.siteId(), HOLIDAY, words, null)
            .keeping(new KeptHoliday(day, name), null));
  }

  @Override
  public Thing thing() {
    return Thing.SITE;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    for (Change change : changes) {
      if (change.field().equals(HOLIDAY)) {
        putHoliday(context, change);
      } else {
        put(context, change);
      }
    }
  }

  private void putHoliday(SiteContext context, Change change) {
    if (change.to() != null) {
      sites.removeHoliday(context.site(), change.to(KeptHoliday.class).day());
    } else {
      KeptHoliday back = change.from(KeptHoliday.class);
      sites.addHoliday(context.site(), back.day(), back.name());
    }
  }

  private void put(SiteContext context, Change change) {
    Site now = sites.get(context.siteId());
    String field = change.field();
    String back = change.from();
    List<Integer> week =
        field.equals(WEEK) ? change.from(KeptWeek.class).days() : now.workingWeek();
    sites.change(
        now.with(
            field.equals(NAME) ? back : now.name(),
            field.equals(ADDRESS) ? back : now.address(),
            field.equals(ZONE) ? back : now.zone(),
            week,
            now.version()));
  }
}
