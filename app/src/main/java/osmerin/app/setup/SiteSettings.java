package osmerin.app.setup;

import java.util.List;

/**
 * What an owner sets of a site.
 *
 * @param workingWeek days of the week, Monday is 1
 */
record SiteSettings(String name, String address, String zone, List<Integer> workingWeek) {
  SiteSettings {
    workingWeek = List.copyOf(workingWeek);
  }
}
