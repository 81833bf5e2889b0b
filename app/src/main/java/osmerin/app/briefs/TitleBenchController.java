package osmerin.app.briefs;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
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
      Model model,
      HttpServletResponse response) {
    Round round = articles.get(site, number.number());
    try {
      model.addAttribute("benchSays", act(site, round, act, title));
    } catch (RefusedException e) {
      response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
      model.addAttribute("benchFault", e.getMessage());
      model.addAttribute("typedTitle", act.equals("add") ? title : "");
    }
    BriefPage page = pages.of(site, round);
    model.addAttribute("round", round);
    model.addAttribute("page", page);
    model.addAttribute("candidates", bench.candidates(site, round, page));
    model.addAttribute("patterns", bench.patterns(site));
    model.addAttribute("fixed", false);
    model.addAttribute("here", site.base() + "/articles/" + round.reference());
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
