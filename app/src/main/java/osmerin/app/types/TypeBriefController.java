package osmerin.app.types;

import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.core.article.BriefNeed;
import osmerin.core.brief.BriefPart;

/** What briefs of a type are like: whether one is needed, and which parts are on. */
@Controller
@RequestMapping("/{site}/setup/types/{id}")
class TypeBriefController {
  private final UsualEdits usual;

  TypeBriefController(UsualEdits usual) {
    this.usual = usual;
  }

  /** What its articles need before anybody writes. */
  @PostMapping("/brief")
  @Needs(Right.MANAGE)
  String brief(SiteContext site, @PathVariable long id, @RequestParam BriefNeed need, Reply reply) {
    usual.setBriefNeed(site, id, need);
    reply.say("Articles of this type need " + need.label() + " before the writing.");
    return back(site, id);
  }

  /** Who signs its briefs off. */
  @PostMapping("/sign-off-by")
  @Needs(Right.MANAGE)
  String signOffBy(SiteContext site, @PathVariable long id, @RequestParam Role role, Reply reply) {
    usual.setSignOffBy(site, id, role);
    reply.say("Briefs of this type are signed off by " + role.from() + ".");
    return back(site, id);
  }

  /** The parts that are on in its briefs. */
  @PostMapping("/brief-parts")
  @Needs(Right.MANAGE)
  String parts(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "") Set<BriefPart> part,
      Reply reply) {
    usual.setBriefParts(site, id, part);
    reply.say("Briefs of this type show these parts, unless a brief has its own.");
    return back(site, id);
  }

  private static String back(SiteContext site, long id) {
    return "redirect:" + site.base() + "/setup/types/" + id;
  }
}
