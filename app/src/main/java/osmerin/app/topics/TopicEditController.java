package osmerin.app.topics;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** Naming a topic, choosing its pillar, keeping it in mind. */
@Controller
@RequestMapping("/{site}/research/topics/{id}")
class TopicEditController {
  private final TopicEdits edits;

  TopicEditController(TopicEdits edits) {
    this.edits = edits;
  }

  @PostMapping("/name")
  @Needs(Right.IMPORT)
  String rename(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String seen,
      Reply reply) {
    edits.rename(site, id, name, seen);
    reply.say("The topic has its name; no import changes it.");
    return here(site, id);
  }

  @PostMapping("/pillar")
  @Needs(Right.IMPORT)
  String pillar(SiteContext site, @PathVariable long id, @RequestParam long group, Reply reply) {
    edits.choosePillar(site, id, group);
    reply.say("The topic has its pillar.");
    return here(site, id);
  }

  @PostMapping("/focus")
  @Needs(Right.IMPORT)
  String focus(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "false") boolean on,
      Reply reply) {
    edits.focus(site, id, on);
    reply.say(on ? "Lead topic: every desk shows it." : "No longer a lead topic.");
    return here(site, id);
  }

  private static String here(SiteContext site, long id) {
    return "redirect:" + site.base() + "/research/topics/" + id;
  }
}
