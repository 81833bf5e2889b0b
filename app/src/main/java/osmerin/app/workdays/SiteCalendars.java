package osmerin.app.workdays;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.workday.WorkCalendar;

/**
 * The calendar of a site, and those of its people where they work on other days.
 *
 * @param people by their ids; who is not there works as the site does
 */
public record SiteCalendars(WorkCalendar site, Map<Long, WorkCalendar> people) {
  public SiteCalendars {
    people = Map.copyOf(people);
  }

  /** The calendar of whoever does a step; the site's when nobody is named. */
  public WorkCalendar of(@Nullable Long personId) {
    return personId == null ? site : people.getOrDefault(personId, site);
  }
}
