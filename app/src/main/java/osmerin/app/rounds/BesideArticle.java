package osmerin.app.rounds;

import org.springframework.ui.Model;
import osmerin.app.site.SiteContext;

/** What another feature shows on the page of an article. */
public interface BesideArticle {
  /** Adds what its part of the page needs. */
  void show(SiteContext context, Round round, Model model);
}
