package osmerin.app.links;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
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

  /** What is sent to {@link #set}. */
  record SetForm(
      @RequestParam String name,
      @RequestParam(defaultValue = "") String seen,
      @RequestParam(defaultValue = "") String address) {}

  @PostMapping("/{site}/articles/{number}/links")
  @Needs(Right.WORK)
  String set(SiteContext site, @PathVariable ReferenceNumber number, SetForm form, Reply reply) {
    links.set(site, number.number(), form.name(), form.seen(), form.address());
    reply.say(
        form.address().isBlank() ? "The link is gone." : "“" + form.name().strip() + "” is set.");
    return "redirect:" + site.base() + "/articles/" + number;
  }
}
