package osmerin.app.site;

import java.time.ZoneId;
import java.util.List;

/**
 * One blog.
 *
 * @param slug names it in addresses
 * @param address of the blog, for people
 * @param prefix of its reference numbers
 * @param workingWeek days of the week, Monday is 1
 */
public record Site(
    long id,
    String slug,
    String name,
    String address,
    String prefix,
    String zone,
    List<Integer> workingWeek,
    int version) {
  /** The same with other settings, for somebody who saw a version. */
  public Site with(
      String newName, String newAddress, String newZone, List<Integer> week, int seen) {
    return new Site(
        id, slug, newName.strip(), newAddress.strip(), prefix, newZone, List.copyOf(week), seen);
  }

  public ZoneId zoneId() {
    return ZoneId.of(zone);
  }
}
