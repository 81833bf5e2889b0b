package osmerin.app.answers;

import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import osmerin.app.answers.FirstBrief.Begun;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.gathering.EvidenceJob;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.LongWork;

/** "Write the brief" on a keyword group: commissions it, gets evidence, opens the title bench. */
@Controller
class FirstBriefController {
  private final FirstBrief briefs;
  private final EvidenceService evidence;
  private final EvidenceJob job;
  private final LongWork work;

  FirstBriefController(
      FirstBrief briefs, EvidenceService evidence, EvidenceJob job, LongWork work) {
    this.briefs = briefs;
    this.evidence = evidence;
    this.job = job;
    this.work = work;
  }

  @PostMapping("/{site}/research/groups/{id}/brief")
  @Needs(Right.COMMISSION)
  String write(SiteContext site, @PathVariable long id, Reply reply) {
    Begun begun = briefs.begin(site, id);
    String reference = begun.round().reference();
    String brief = site.base() + "/articles/" + reference + "/brief";
    if (begun.existed()) {
      reply.say(reference + " already answers this group. This is its brief.");
      return "redirect:" + brief;
    }
    reply.say(
        "Commissioned as %s, a %s without a date."
            .formatted(reference, begun.round().typeName().toLowerCase(Locale.ROOT)));
    if (!evidence.isSearchConnected() || evidence.ofGroup(site, id).isPresent()) {
      return "redirect:" + brief;
    }
    return "redirect:" + work.awaited(site, job.order(site, List.of(id), brief));
  }
}
