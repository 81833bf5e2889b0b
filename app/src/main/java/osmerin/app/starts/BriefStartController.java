package osmerin.app.starts;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
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

/** Where a brief starts from a template or another brief, and becomes a template itself. */
@Controller
@RequestMapping("/{site}/articles/{number}/brief/start")
class BriefStartController {
  private final ArticleService articles;
  private final BriefTemplates templates;

  BriefStartController(ArticleService articles, BriefTemplates templates) {
    this.articles = articles;
    this.templates = templates;
  }

  @GetMapping
  @Needs(Right.WORK)
  String start(SiteContext site, @PathVariable ReferenceNumber number, Model model) {
    return page(site, articles.get(site, number.number()), model);
  }

  private String page(SiteContext site, Round round, Model model) {
    model.addAttribute("round", round);
    model.addAttribute("templates", templates.of(site, round));
    return "starts/start";
  }

  @PostMapping("/{id}")
  @Needs(Right.WORK)
  String template(
      SiteContext site, @PathVariable ReferenceNumber number, @PathVariable long id, Reply reply) {
    Round round = articles.get(site, number.number());
    templates.start(site, round, id);
    reply.say("Empty fields were filled from the template.");
    return brief(site, round);
  }

  @PostMapping("/{id}/remove")
  @Needs(Right.EDIT)
  String remove(
      SiteContext site, @PathVariable ReferenceNumber number, @PathVariable long id, Reply reply) {
    templates.remove(site, id);
    reply.say("Template removed. Briefs that used it stay as they are.");
    return brief(site, articles.get(site, number.number())) + "/start";
  }

  /** From another article's brief. */
  @PostMapping("/brief")
  @Needs(Right.WORK)
  String other(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(defaultValue = "") String from,
      Reply reply) {
    Round round = articles.get(site, number.number());
    try {
      templates.startFrom(site, round, read(from));
    } catch (NotFoundException e) {
      return refused(
          site,
          round,
          new RefusedException("There is no article " + from.strip() + " here."),
          reply);
    } catch (RefusedException e) {
      reply.with("typedFrom", from);
      return refused(site, round, e, reply);
    }
    reply.say("Empty fields were filled from " + from.strip() + ".");
    return brief(site, round);
  }

  private static int read(String typed) {
    return ReferenceNumber.read(typed)
        .map(ReferenceNumber::number)
        .orElseThrow(
            () -> new RefusedException("Enter the number of an article, such as MP-0042."));
  }

  @PostMapping
  @Needs(Right.WORK)
  String keep(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "false") boolean ofType,
      Reply reply) {
    Round round = articles.get(site, number.number());
    try {
      templates.keep(site, round, name, ofType);
    } catch (RefusedException e) {
      reply.with("typedName", name);
      return refused(site, round, e, reply);
    }
    reply.say("Saved as the template “" + name.strip() + "”.");
    return brief(site, round) + "/start";
  }

  private String refused(SiteContext site, Round round, RefusedException e, Reply reply) {
    reply.refuse(e);
    return page(site, round, reply.model());
  }

  private static String brief(SiteContext site, Round round) {
    return "redirect:" + site.base() + "/articles/" + round.reference() + "/brief";
  }
}
