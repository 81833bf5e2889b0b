package osmerin.app.rounds;

import java.util.List;
import osmerin.app.history.Change;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Stage;
import osmerin.core.article.Stages;

/** What a site has set to happen when an article enters a stage. */
public interface OnEntering {
  /**
   * Does it, and tells whoever is next.
   *
   * @param round as it was before
   * @param all the stages of the site
   * @return what was changed, without an entry of its own
   */
  List<Change> entered(SiteContext context, Round round, Stages all, Stage to);

  /** What would happen, in a few words each: "Tamsin Okafor is told". */
  List<String> previewed(SiteContext context, Round round, Stages all, Stage to);
}
