package osmerin.app.links;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.platform.web.Foot;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** The links of an article. */
@Controller
class LinkController {
  private final LinkEdits links;

  LinkController(LinkEdits links) {
    this.links = links;
  }

  @PostMapping("/{site}/articles/{number}/links")
  @Needs(Right.WORK)
  String set(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String name,
      @RequestParam(defaultValue = "") String seen,
      @RequestParam(defaultValue = "") String address,
      RedirectAttributes to) {
    links.set(site, number.number(), name, seen, address);
    Foot.say(to, address.isBlank() ? "The link is gone." : "“" + name.strip() + "” is set.");
    return "redirect:" + site.base() + "/articles/" + number;
  }
}
