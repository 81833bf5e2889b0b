package osmerin.app.workdays;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.site.Site;
import osmerin.app.site.SiteService;
import osmerin.core.workday.WorkCalendar;

/**
 * Which days people work: the days of their week, less the site's holidays and their absences. A
 * person's days and absences hold on all their sites. Who may change them is asked elsewhere.
 */
@Service
public class WorkdayService {
  /** Work that is over needs no calendar. */
  private static final int DAYS_BACK = 400;

  private final WorkdayMapper workdays;
  private final SiteService sites;

  WorkdayService(WorkdayMapper workdays, SiteService sites) {
    this.workdays = workdays;
    this.sites = sites;
  }

  /** The calendars of a site and its people. */
  public SiteCalendars calendars(Site site) {
    return calendars(site, ownDays(site), kept(site));
  }

  /** What they would be with one more absence. */
  public SiteCalendars calendarsWith(Site site, Absence more) {
    List<Absence> absences = new ArrayList<>(kept(site));
    absences.add(more);
    return calendars(site, ownDays(site), absences);
  }

  /** What they would be if a person worked on other days; null for those of the site. */
  public SiteCalendars calendarsWith(Site site, long personId, @Nullable List<Integer> days) {
    Map<Long, List<Integer>> weeks = new HashMap<>(ownDays(site));
    if (days == null) {
      weeks.remove(personId);
    } else {
      weeks.put(personId, days);
    }
    return calendars(site, weeks, kept(site));
  }

  private List<Absence> kept(Site site) {
    return absences(site, sites.today(site).minusDays(DAYS_BACK));
  }

  private SiteCalendars calendars(
      Site site, Map<Long, List<Integer>> weeks, List<Absence> absences) {
    WorkCalendar calendar = sites.calendar(site);
    Map<Long, Set<LocalDate>> away = new HashMap<>();
    for (Absence absence : absences) {
      Set<LocalDate> days = away.computeIfAbsent(absence.personId(), person -> new HashSet<>());
      absence.first().datesUntil(absence.last().plusDays(1)).forEach(days::add);
    }
    Set<Long> people = new HashSet<>(weeks.keySet());
    people.addAll(away.keySet());
    Map<Long, WorkCalendar> calendars = new HashMap<>();
    for (Long person : people) {
      Set<DayOfWeek> week = weeks.containsKey(person) ? week(weeks.get(person)) : calendar.week();
      WorkCalendar own = new WorkCalendar(week, calendar.daysOff());
      calendars.put(person, own.without(away.getOrDefault(person, Set.of())));
    }
    return new SiteCalendars(calendar, calendars);
  }

  private static Set<DayOfWeek> week(List<Integer> days) {
    return days.stream().map(DayOfWeek::of).collect(Collectors.toSet());
  }

  /** Absences of the site's people that end on a day or later, the first first. */
  public List<Absence> absences(Site site, LocalDate from) {
    return workdays.ofSite(site.id(), from);
  }

  public Optional<Absence> absence(long id) {
    return workdays.find(id);
  }

  /** For those who work on days of their own, these. */
  public Map<Long, List<Integer>> ownDays(Site site) {
    return workdays.ownDays(site.id()).stream()
        .collect(Collectors.toMap(PersonDays::personId, PersonDays::days));
  }

  @Transactional
  public Absence add(long personId, LocalDate first, LocalDate last, String note) {
    return new Absence(workdays.insert(personId, first, last, note), personId, first, last, note);
  }

  /** False when it is gone already. */
  @Transactional
  public boolean remove(long id) {
    return workdays.remove(id) == 1;
  }

  /** Sets the days of a person's week; null for those of the site. */
  @Transactional
  public void setDays(long personId, @Nullable List<Integer> days) {
    workdays.setDays(personId, days);
  }
}
