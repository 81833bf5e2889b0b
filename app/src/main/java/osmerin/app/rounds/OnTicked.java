package osmerin.app.rounds;

import java.util.List;
import osmerin.app.history.Change;
import osmerin.app.runups.StepRow;
import osmerin.app.site.SiteContext;

/** What a site has set to happen when a step is ticked. */
public interface OnTicked {
  /** Does it; what was changed, without an entry of its own. */
  List<Change> ticked(SiteContext context, Round round, StepRow step);
}
