package osmerin.app.rounds;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import osmerin.app.history.Change;
import osmerin.app.site.SiteContext;

/** What follows when an article gets another day, such as dates that hang on it. */
public interface DateFollowers {
  /** Moves what hangs on the round; what was changed, without an entry of its own. */
  List<Change> moved(SiteContext context, Round round, LocalDate day);

  /** Where what hangs on the round would come to lie, in words. */
  List<String> previewed(SiteContext context, Round round, LocalDate day);

  /** Which articles that hang on the round would have date problems, in words. */
  List<String> setbacks(SiteContext context, Round round, LocalDate day);

  /** Whether the day of a round hangs on one of others, directly or by one between. */
  boolean hangsOn(Round round, Collection<Long> others);

  /** A day set by hand hangs on nothing any more; what was changed by that. */
  List<Change> setByHand(Round round);
}
