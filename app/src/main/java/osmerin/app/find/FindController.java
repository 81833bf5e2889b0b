package osmerin.app.find;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** What the find field shows while somebody types. */
@Controller
class FindController {
  private final FindService find;

  FindController(FindService find) {
    this.find = find;
  }

  @GetMapping("/{site}/find")
  @Needs(Right.READ)
  String find(SiteContext site, @RequestParam(defaultValue = "") String q, Model model) {
    model.addAttribute("found", find.find(site, q));
    model.addAttribute("q", q);
    return "find/found";
  }
}
