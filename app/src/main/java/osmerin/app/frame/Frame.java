package osmerin.app.frame;

import java.util.List;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.team.Settings;

/**
 * What stands around every page of a site.
 *
 * @param sites that the person works on
 * @param unread notices
 */
public record Frame(
    SiteContext context,
    List<Area> areas,
    Tideline tideline,
    List<Site> sites,
    Settings settings,
    long unread) {
  /**
   * An area with what waits there.
   *
   * @param count a short count in words
   * @param alarming whether the count is of something late
   */
  public record Area(String key, String name, String path, String count, boolean alarming) {}
}
