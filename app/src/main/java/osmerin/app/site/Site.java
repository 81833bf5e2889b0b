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
  public ZoneId zoneId() {
    return ZoneId.of(zone);
  }
}
