package osmerin.app.sharing;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.Round;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** The links to a brief, for those who hand them out. */
@Controller
@RequestMapping("/{site}/articles/{number}/brief/links")
class BriefLinkController {
  private final ArticleService articles;
  private final BriefLinks links;

  BriefLinkController(ArticleService articles, BriefLinks links) {
    this.articles = articles;
    this.links = links;
  }

  @GetMapping
  @Needs(Right.EDIT)
  String links(SiteContext site, @PathVariable ReferenceNumber number, Model model) {
    return page(articles.get(site, number.number()), model);
  }

  private String page(Round round, Model model) {
    model.addAttribute("round", round);
    model.addAttribute("links", links.of(round));
    model.addAttribute("guests", links.ofGuests(round));
    return "sharing/links";
  }

  /** What is sent to {@link #make}. */
  record MakeForm(
      @RequestParam(defaultValue = "") String whom,
      @RequestParam(defaultValue = "") String days,
      @RequestParam(defaultValue = "") String gives) {}

  @PostMapping
  @Needs(Right.EDIT)
  String make(SiteContext site, @PathVariable ReferenceNumber number, MakeForm form, Reply reply) {
    Round round = articles.get(site, number.number());
    BriefLinks.Wanted wanted =
        new BriefLinks.Wanted(
            form.whom(),
            number(form.days()),
            !form.gives().equals("read"),
            form.gives().equals("hand-in"));
    boolean fresh;
    try {
      fresh = links.make(site, round, wanted);
    } catch (RefusedException e) {
      reply.refuse(e);
      reply.with("typedWhom", form.whom());
      reply.with("typedDays", form.days());
      return page(round, reply.model());
    }
    reply.say(
        fresh
            ? "Link created. Copy it and send it to " + form.whom().strip() + "."
            : form.whom().strip() + " is a guest and has a link; it shows the brief now.");
    return back(site, round);
  }

  private static int number(String typed) {
    return typed.strip().matches("\\d{1,4}") ? Integer.parseInt(typed.strip()) : 0;
  }

  @PostMapping("/{id}/revoke")
  @Needs(Right.EDIT)
  String revoke(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable long id,
      @RequestParam boolean away,
      Reply reply) {
    Round round = articles.get(site, number.number());
    links.revoke(site, round, id, away);
    reply.say(away ? "Link revoked." : "The link works again.");
    return back(site, round);
  }

  private static String back(SiteContext site, Round round) {
    return "redirect:" + site.base() + "/articles/" + round.reference() + "/brief/links";
  }
}
