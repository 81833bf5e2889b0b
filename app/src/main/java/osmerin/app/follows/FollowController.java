package osmerin.app.follows;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** Lets the date of an article hang on another's, and lets it go. */
@Controller
@RequestMapping("/{site}/articles/{number}/follows")
class FollowController {
  private final Follows follows;

  FollowController(Follows follows) {
    this.follows = follows;
  }

  @PostMapping
  @Needs(Right.EDIT)
  String set(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(defaultValue = "") String rule,
      @RequestParam(defaultValue = "false") boolean anyway,
      Reply reply) {
    follows.set(site, number.number(), rule, anyway);
    reply.say("The date of " + number + " now follows the other article.");
    return back(site, number);
  }

  @PostMapping("/let-go")
  @Needs(Right.EDIT)
  String letGo(SiteContext site, @PathVariable ReferenceNumber number, Reply reply) {
    follows.letGo(site, number.number());
    reply.say("The date of " + number + " stays as it is.");
    return back(site, number);
  }

  private static String back(SiteContext site, ReferenceNumber number) {
    return "redirect:" + site.base() + "/articles/" + number;
  }
}
