package osmerin.app.rounds;

import java.util.List;
import org.springframework.ui.Model;
import osmerin.app.site.SiteContext;

/** What another feature shows in the articles ledger. */
public interface BesideLedger {
  /** Adds what it needs for these rows. */
  void show(SiteContext context, List<Round> rows, Model model);
}
