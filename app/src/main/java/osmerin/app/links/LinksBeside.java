package osmerin.app.links;

import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import osmerin.app.rounds.BesideArticle;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;

/** Shows the links on the page of an article. */
@Component
class LinksBeside implements BesideArticle {
  private final LinkEdits links;

  LinksBeside(LinkEdits links) {
    this.links = links;
  }

  @Override
  public void show(SiteContext context, Round round, Model model) {
    model.addAttribute("links", links.of(round));
  }
}
