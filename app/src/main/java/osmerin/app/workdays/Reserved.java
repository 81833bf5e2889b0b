package osmerin.app.workdays;

import java.time.DayOfWeek;

/**
 * Hours of each week that work other than articles takes.
 *
 * @param siteId the site on which it was said
 * @param weekday from 1, Monday, to 7
 * @param note "weekly meeting", may be empty
 */
public record Reserved(
    long id, long personId, long siteId, int weekday, double hours, String note) {

  /** "Mon". */
  public DayOfWeek day() {
    return DayOfWeek.of(weekday);
  }
}
