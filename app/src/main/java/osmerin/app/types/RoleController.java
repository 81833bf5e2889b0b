package osmerin.app.types;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** The step roles of the site, on the page of its types. */
@Controller
@RequestMapping("/{site}/setup/roles")
class RoleController {
  private final RoleEdits edits;

  RoleController(RoleEdits edits) {
    this.edits = edits;
  }

  @PostMapping
  @Needs(Right.MANAGE)
  String add(SiteContext site, @RequestParam String role, Reply reply) {
    reply.say("Steps can now name the role “" + edits.add(site, role) + "”.");
    return back(site);
  }

  @PostMapping("/rename")
  @Needs(Right.MANAGE)
  String rename(
      SiteContext site, @RequestParam String role, @RequestParam String name, Reply reply) {
    edits.rename(site, role, name);
    reply.say("The role is renamed everywhere.");
    return back(site);
  }

  @PostMapping("/remove")
  @Needs(Right.MANAGE)
  String remove(SiteContext site, @RequestParam String role, Reply reply) {
    edits.remove(site, role);
    reply.say("The role is removed.");
    return back(site);
  }

  private static String back(SiteContext site) {
    return "redirect:" + site.base() + "/setup/types";
  }
}
