package osmerin.app.notices;

import osmerin.app.site.Site;

/** Tells guests, who have no account and so read no notices here. */
public interface GuestTeller {
  /**
   * Tells one of them, if it is about something they can do.
   *
   * @param path of the page it is about, with the site
   */
  void tell(Site site, long guest, NoticeKind kind, String text, String path);
}
