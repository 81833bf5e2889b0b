package osmerin.app.views;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** Keeps and deletes views of ledgers. */
@Controller
class ViewController {
  private final Views views;

  ViewController(Views views) {
    this.views = views;
  }

  @PostMapping("/{site}/research/keywords/views")
  @Needs(Right.READ)
  String saveOfKeywords(
      SiteContext site,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String query,
      @RequestParam(defaultValue = "false") boolean first,
      Reply reply) {
    return save(site, Ledger.KEYWORDS, new View(0, name, query, first), reply);
  }

  @PostMapping("/{site}/articles/views")
  @Needs(Right.READ)
  String saveOfArticles(
      SiteContext site,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String query,
      @RequestParam(defaultValue = "false") boolean first,
      Reply reply) {
    return save(site, Ledger.ARTICLES, new View(0, name, query, first), reply);
  }

  private String save(SiteContext site, Ledger ledger, View view, Reply reply) {
    views.save(site, ledger, view.name(), view.query(), view.shownFirst());
    reply.say(
        "The view “%s” is saved%s"
            .formatted(view.name().strip(), view.shownFirst() ? " and opens first." : "."));
    return everything(site, ledger);
  }

  @PostMapping("/{site}/research/keywords/views/{id}/delete")
  @Needs(Right.READ)
  String deleteOfKeywords(SiteContext site, @PathVariable long id, Reply reply) {
    return delete(site, Ledger.KEYWORDS, id, reply);
  }

  @PostMapping("/{site}/articles/views/{id}/delete")
  @Needs(Right.READ)
  String deleteOfArticles(SiteContext site, @PathVariable long id, Reply reply) {
    return delete(site, Ledger.ARTICLES, id, reply);
  }

  private String delete(SiteContext site, Ledger ledger, long id, Reply reply) {
    views.delete(site, ledger, id);
    reply.say("The view is deleted; the " + ledger.things() + " are as they were.");
    return everything(site, ledger);
  }

  private static String everything(SiteContext site, Ledger ledger) {
    return "redirect:" + site.base() + ledger.path() + "?" + ledger.everything();
  }
}
