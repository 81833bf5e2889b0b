package osmerin.app.people;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** The people of an article, by role. */
@Controller
class PeopleController {
  private final PeopleEdits edits;

  PeopleController(PeopleEdits edits) {
    this.edits = edits;
  }

  @PostMapping("/{site}/articles/{number}/people")
  @Needs(Right.EDIT)
  String name(SiteContext site, @PathVariable ReferenceNumber number, Naming naming, Reply reply) {
    edits.name(site, number.number(), naming);
    reply.say("The " + naming.role() + " of " + number + " was set.");
    return "redirect:" + site.base() + "/articles/" + number;
  }
}
