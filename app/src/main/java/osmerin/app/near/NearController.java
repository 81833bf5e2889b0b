package osmerin.app.near;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.meaning.Nearness;

/** What is near a title while it is typed. */
@Controller
@RequestMapping("/{site}/near")
class NearController {
  private static final int SHOWN = 5;
  private static final int FEWEST_LETTERS = 4;

  private final NearTexts near;

  NearController(NearTexts near) {
    this.near = near;
  }

  @GetMapping
  @Needs(Right.READ)
  String near(SiteContext site, @RequestParam(defaultValue = "") String title, Model model) {
    boolean enough = title.strip().length() >= FEWEST_LETTERS;
    model.addAttribute("near", near.to(site, enough ? title : "", Nearness.DEFAULT_LEAST, SHOWN));
    return "near/near";
  }
}
