package osmerin.app.sharing;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.articles.ArticleService;
import osmerin.app.guests.GuestLink;
import osmerin.app.platform.web.Foot;
import osmerin.app.platform.web.RefusedException;
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
    List<GuestLink> guests = links.ofGuests(round);
    model.addAttribute("guests", guests);
    model.addAttribute(
        "guestAddresses", guests.stream().collect(Collectors.toMap(GuestLink::id, links::address)));
    return "sharing/links";
  }

  @PostMapping
  @Needs(Right.EDIT)
  String make(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(defaultValue = "") String whom,
      @RequestParam(defaultValue = "") String days,
      @RequestParam(defaultValue = "") String gives,
      RedirectAttributes to,
      Model model,
      HttpServletResponse response) {
    Round round = articles.get(site, number.number());
    BriefLinks.Wanted wanted =
        new BriefLinks.Wanted(whom, number(days), !gives.equals("read"), gives.equals("hand-in"));
    boolean fresh;
    try {
      fresh = links.make(site, round, wanted);
    } catch (RefusedException e) {
      response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
      model.addAttribute("fault", e.getMessage());
      model.addAttribute("typedWhom", whom);
      model.addAttribute("typedDays", days);
      return page(round, model);
    }
    Foot.say(
        to,
        fresh
            ? "Link created. Copy it and send it to " + whom.strip() + "."
            : whom.strip() + " is a guest and has a link; it shows the brief now.");
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
      RedirectAttributes to) {
    Round round = articles.get(site, number.number());
    links.revoke(site, round, id, away);
    Foot.say(to, away ? "Link revoked." : "The link works again.");
    return back(site, round);
  }

  private static String back(SiteContext site, Round round) {
    return "redirect:" + site.base() + "/articles/" + round.reference() + "/brief/links";
  }
}
