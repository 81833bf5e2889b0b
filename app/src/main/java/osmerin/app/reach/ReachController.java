package osmerin.app.reach;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.Foot;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** What the site can reach: its strength, and what a visit is worth to it. */
@Controller
@RequestMapping("/{site}/research/reach")
class ReachController {
  private final ReachService reach;
  private final History history;

  ReachController(ReachService reach, History history) {
    this.reach = reach;
    this.history = history;
  }

  @GetMapping
  @Needs(Right.READ)
  String show(SiteContext site, Model model) {
    model.addAttribute("reach", reach.get(site));
    model.addAttribute(
        "history", history.entries(site, Asked.of(Thing.REACH, site.siteId()), 0, 10));
    return "reach/reach";
  }

  @PostMapping
  @Needs(Right.TARGETS)
  String set(
      SiteContext site,
      @RequestParam int strength,
      @RequestParam(required = false) @Nullable BigDecimal awareness,
      @RequestParam(required = false) @Nullable BigDecimal consideration,
      @RequestParam(required = false) @Nullable BigDecimal decision,
      @RequestParam int seen,
      RedirectAttributes to) {
    reach.set(site, new ReachService.Settings(strength, awareness, consideration, decision), seen);
    Foot.say(to, "Every group is weighed anew.");
    return "redirect:" + site.base() + "/research/reach";
  }
}
