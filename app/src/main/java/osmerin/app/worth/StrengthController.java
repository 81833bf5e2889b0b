package osmerin.app.worth;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** What the site can reach: its strength, and what a visit is worth to it. */
@Controller
@RequestMapping("/{site}/research/strength")
class StrengthController {
  private static final String SAID = "The worth of every group follows.";

  private final StrengthService siteStrength;
  private final History history;

  StrengthController(StrengthService siteStrength, History history) {
    this.siteStrength = siteStrength;
    this.history = history;
  }

  @GetMapping
  @Needs(Right.READ)
  String show(SiteContext site, Model model) {
    return show(site, StrengthForm.of(siteStrength.get(site)), model);
  }

  private String show(SiteContext site, StrengthForm form, Model model) {
    model.addAttribute("siteStrength", siteStrength.get(site));
    model.addAttribute("form", form);
    model.addAttribute("calibration", siteStrength.calibration(site));
    model.addAttribute("proposal", siteStrength.proposal(site).orElse(null));
    model.addAttribute(
        "history", history.entries(site, Asked.of(Thing.STRENGTH, site.siteId()), 0, 10));
    return "worth/strength";
  }

  @PostMapping
  @Needs(Right.TARGETS)
  String set(SiteContext site, StrengthForm form, @RequestParam int seen, Reply reply) {
    try {
      siteStrength.set(site, form.settings(), seen);
    } catch (RefusedException e) {
      reply.refuse(e);
      return show(site, form, reply.model());
    }
    reply.say(SAID);
    return "redirect:" + site.base() + "/research/strength";
  }

  /** Sets the strength that the site's own positions tell, and nothing else. */
  @PostMapping("/strength")
  @Needs(Right.TARGETS)
  String strength(SiteContext site, @RequestParam int strength, Reply reply) {
    siteStrength.setStrength(site, strength);
    reply.say(SAID);
    return "redirect:" + site.base() + "/research/strength";
  }

  /** Weighs with the chances as learned by now, or as shipped. */
  @PostMapping("/learned")
  @Needs(Right.TARGETS)
  String learned(SiteContext site, @RequestParam(defaultValue = "false") boolean on, Reply reply) {
    siteStrength.useLearned(site, on);
    reply.say(SAID);
    return "redirect:" + site.base() + "/research/strength";
  }
}
