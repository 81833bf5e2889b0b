package osmerin.app.exclusions;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Paging;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.keyword.ExcludeList.Kind;
import osmerin.core.text.Counted;

/** The exclude list. */
@Controller
@RequestMapping("/{site}/research/excluded")
class ExclusionController {
  private static final int PAGE = 100;

  private final Exclusions exclusions;

  ExclusionController(Exclusions exclusions) {
    this.exclusions = exclusions;
  }

  @GetMapping
  @Needs(Right.READ)
  String list(SiteContext site, @RequestParam(defaultValue = "1") int page, Model model) {
    Paging paging = new Paging(page, PAGE, exclusions.count(site));
    model.addAttribute("entries", exclusions.list(site, paging.offset(), PAGE));
    model.addAttribute("paging", paging);
    return "exclusions/excluded";
  }

  @PostMapping
  @Needs(Right.IMPORT)
  String add(
      SiteContext site,
      @RequestParam(required = false) @Nullable String text,
      @RequestParam(defaultValue = "WORDS") Kind kind,
      Reply reply) {
    int gone = exclusions.add(site, kind, text);
    reply.say(
        Counted.of(gone, "keyword") + " out of sight, and any that comes with a later import.");
    return "redirect:" + site.base() + "/research/excluded";
  }

  @PostMapping("/{id}/remove")
  @Needs(Right.IMPORT)
  String remove(SiteContext site, @PathVariable long id, Reply reply) {
    int back = exclusions.remove(site, id);
    reply.say(Counted.of(back, "keyword") + " came back.");
    return "redirect:" + site.base() + "/research/excluded";
  }
}
