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

  /** What is done with the bench; what it says afterwards. */
  private interface Act {
    String on(Round round);
  }

  private String act(
      SiteContext site,
      ReferenceNumber number,
      Model model,
      HttpServletResponse response,
      Act act) {
    Round round = articles.get(site, number.number());
    try {
      model.addAttribute("benchSays", act.on(round));
    } catch (RefusedException e) {
      response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
      model.addAttribute("benchFault", e.getMessage());
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

  @PostMapping
  @Needs(Right.WORK)
  String add(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(defaultValue = "") String title,
      Model model,
      HttpServletResponse response) {
    model.addAttribute("typedTitle", title);
    return act(
        site,
        number,
        model,
        response,
        round -> {
          bench.add(site, round, title);
          model.addAttribute("typedTitle", "");
          return "";
        });
  }

  @PostMapping("/pick")
  @Needs(Right.WORK)
  String pick(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String title,
      Model model,
      HttpServletResponse response) {
    return act(
        site,
        number,
        model,
        response,
        round -> {
          bench.pick(site, round, title);
          return "";
        });
  }

  @PostMapping("/remove")
  @Needs(Right.WORK)
  String remove(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String title,
      Model model,
      HttpServletResponse response) {
    return act(
        site,
        number,
        model,
        response,
        round -> {
          bench.remove(site, round, title);
          return "";
        });
  }

  @PostMapping("/suggest")
  @Needs(Right.WORK)
  String suggest(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      Model model,
      HttpServletResponse response) {
    return act(
        site,
        number,
        model,
        response,
        round -> {
          int added = bench.suggest(site, round);
          return added == 0
              ? "No further title comes to mind. Evidence and headlines that you keep bring more."
              : Counted.of(added, "title") + " suggested.";
        });
  }

  /** Takes a pattern away from the site's. */
  @PostMapping("/forget")
  @Needs(Right.EDIT)
  String forget(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String title,
      Model model,
      HttpServletResponse response) {
    return act(
        site,
        number,
        model,
        response,
        round -> {
          bench.forgetPattern(site, title);
          return "The pattern is gone.";
        });
  }

  /** Keeps the headline's pattern for the site's other articles. */
  @PostMapping("/pattern")
  @Needs(Right.WORK)
  String pattern(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String title,
      Model model,
      HttpServletResponse response) {
    return act(
        site,
        number,
        model,
        response,
        round -> "Kept for other articles: “" + bench.keepPattern(site, round, title) + "”.");
  }
}
