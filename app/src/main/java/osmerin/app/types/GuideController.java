package osmerin.app.types;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
import osmerin.app.runups.StepGuide;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.formats.markdown.Markdown;

/** How a step is done here: read by everybody, written by whoever works on the site. */
@Controller
@RequestMapping("/{site}/types/{id}/how/{key}")
class GuideController {
  private final GuideEdits edits;

  GuideController(GuideEdits edits) {
    this.edits = edits;
  }

  @GetMapping
  @Needs(Right.READ)
  String guide(SiteContext site, @PathVariable long id, @PathVariable String key, Model model) {
    model.addAttribute("step", edits.step(site, id, key));
    StepGuide guide = edits.guide(id, key).orElse(null);
    model.addAttribute("guide", guide);
    model.addAttribute("html", guide == null ? "" : Markdown.html(guide.text()));
    model.addAttribute("typeId", id);
    return "types/guide";
  }

  /** What is sent to {@link #write}. */
  record WriteForm(@RequestParam String text, @RequestParam int seen) {}

  @PostMapping
  @Needs(Right.WORK)
  String write(
      SiteContext site,
      @PathVariable long id,
      @PathVariable String key,
      WriteForm form,
      Reply reply) {
    edits.write(site, id, key, form.text(), form.seen());
    reply.say("Saved, with today's date and your name.");
    return "redirect:" + site.base() + "/types/" + id + "/how/" + key;
  }
}
