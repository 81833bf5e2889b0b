package osmerin.app.frame;

import java.util.List;
import osmerin.app.site.SiteContext;

/** What stands around every page of a site. */
public record Frame(SiteContext context, List<Area> areas, Tideline tideline) {
  /**
   * An area with what waits there.
   *
   * @param count a short count in words
   * @param alarming whether the count is of something late
   */
  public record Area(String key, String name, String path, String count, boolean alarming) {}
}
