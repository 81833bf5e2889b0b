package osmerin.app.live;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.Paging;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** What is live. */
@Controller
@RequestMapping("/{site}")
class LiveController {
  private static final int PAGE = 50;

  private final ArticleService articles;

  LiveController(ArticleService articles) {
    this.articles = articles;
  }

  @GetMapping("/live")
  @Needs(Right.READ)
  String ledger(SiteContext site, @RequestParam(defaultValue = "1") int page, Model model) {
    Paging paging = new Paging(page, PAGE, articles.tally(site.siteId()).live());
    model.addAttribute("rounds", articles.live(site, paging.offset(), PAGE));
    model.addAttribute("paging", paging);
    model.addAttribute("today", site.today());
    return "live/ledger";
  }
}
