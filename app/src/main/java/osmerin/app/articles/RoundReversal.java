package osmerin.app.articles;

import osmerin.app.history.Change;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;

/** How a feature that works on rounds, such as briefs, takes back its own fields of an article. */
public interface RoundReversal {
  boolean knows(String field);

  /**
   * Puts the change's {@code from} back.
   *
   * @return false when its {@code to} does not stand any more
   */
  boolean put(SiteContext context, Round round, Change change);
}
