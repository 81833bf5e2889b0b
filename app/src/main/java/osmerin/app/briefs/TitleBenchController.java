package osmerin.app.briefs;

import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.Round;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.text.Counted;

/** The title bench of a brief; each act answers with the bench as it is then. */
@Controller
@RequestMapping("/{site}/articles/{number}/brief/titles")
class TitleBenchController {
  private final ArticleService articles;
  private final TitleBench bench;
  private final BriefPages pages;

  TitleBenchController(ArticleService articles, TitleBench bench, BriefPages pages) {
    this.articles = articles;
    this.bench = bench;
    this.pages = pages;
  }

  /**
   * Does something with a title.
   *
   * @param act "add", "pick", "remove", "suggest", "pattern" or "forget"
   * @param title or the pattern that is to be forgotten
   */
  @PostMapping("/{act}")
  @Needs(Right.WORK)
  String act(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable String act,
      @RequestParam(defaultValue = "") String title,
      Reply reply) {
    Round round = articles.get(site, number.number());
    try {
      reply.with("benchSays", act(site, round, act, title));
    } catch (RefusedException e) {
      reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
      reply.with("benchFault", e.getMessage());
      reply.with("typedTitle", act.equals("add") ? title : "");
    }
    BriefPage page = pages.of(site, round);
    reply.with("round", round);
    reply.with("page", page);
    reply.with("candidates", bench.candidates(site, round, page));
    reply.with("patterns", bench.patterns(site));
    reply.with("fixed", false);
    reply.with("here", site.base() + "/articles/" + round.reference());
    return "briefs/bench :: bench";
  }

  /** What the bench says afterwards. */
  private String act(SiteContext site, Round round, String act, String title) {
    switch (act) {
      case "add" -> bench.add(site, round, title);
      case "pick" -> bench.pick(site, round, title);
      case "remove" -> bench.remove(site, round, title);
      case "forget" -> bench.forgetPattern(site, title);
      case "suggest" -> {
        return suggested(bench.suggest(site, round));
      }
      case "pattern" -> {
        return "Saved for other articles: “" + bench.keepPattern(site, round, title) + "”.";
      }
      default -> throw new NotFoundException("act", act);
    }
    return act.equals("forget") ? "Pattern removed." : "";
  }

  private static String suggested(int added) {
    return added == 0
        ? "No more suggestions. Get evidence or save headline patterns for more."
        : Counted.of(added, "title") + " suggested.";
  }
}
