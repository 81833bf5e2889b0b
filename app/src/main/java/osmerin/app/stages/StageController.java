package osmerin.app.stages;

import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.StageMoves;
import osmerin.app.platform.web.Reply;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StageList;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.article.Phase;
import osmerin.core.article.StageAct;
import osmerin.core.article.Stages;

/** Setup → Stages. */
@Controller
@RequestMapping("/{site}/setup/stages")
class StageController {
  private final StageList stages;
  private final StageMoves moves;
  private final StepRoles roles;
  private final ArticleTypeService types;
  private final TeamService team;
  private final StageEdits edits;

  StageController(
      StageList stages,
      StageMoves moves,
      StepRoles roles,
      ArticleTypeService types,
      TeamService team,
      StageEdits edits) {
    this.types = types;
    this.team = team;
    this.stages = stages;
    this.moves = moves;
    this.roles = roles;
    this.edits = edits;
  }

  @GetMapping
  @Needs(Right.MANAGE)
  String stages(SiteContext site, Model model) {
    Stages all = stages.of(site.siteId());
    model.addAttribute("stages", all);
    model.addAttribute("seen", StageEdits.seen(all));
    model.addAttribute("phases", Phase.values());
    model.addAttribute("acts", StageAct.values());
    model.addAttribute("stepRoles", roles.list(site.siteId()));
    model.addAttribute("people", team.people(site.siteId()));
    model.addAttribute("names", team.names(site.siteId()));
    model.addAttribute("stepNames", types.stepNames(site.siteId()));
    model.addAttribute("there", moves.countByStage(site));
    return "stages/stages";
  }

  @PostMapping
  @Needs(Right.MANAGE)
  String add(SiteContext site, @RequestParam String name, @RequestParam Phase phase, Reply reply) {
    edits.add(site, name, phase);
    reply.say("“" + name.strip() + "” is a stage now, the last that is " + phase.label() + ".");
    return back(site);
  }

  @PostMapping("/{id}")
  @Needs(Right.MANAGE)
  String change(
      SiteContext site,
      @PathVariable long id,
      @ModelAttribute StageForm form,
      @RequestParam String seen,
      Reply reply) {
    edits.change(site, id, form, seen);
    reply.say("“" + form.name().strip() + "” is saved.");
    return back(site);
  }

  @PostMapping("/{id}/shift")
  @Needs(Right.MANAGE)
  String shift(SiteContext site, @PathVariable long id, @RequestParam boolean down, Reply reply) {
    edits.shift(site, id, down);
    reply.say("Moved " + (down ? "down" : "up") + ".");
    return back(site);
  }

  @PostMapping("/{id}/retire")
  @Needs(Right.MANAGE)
  String retire(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(required = false) @Nullable Long target,
      Reply reply) {
    edits.retire(site, id, target);
    reply.say("The stage is retired.");
    return back(site);
  }

  /** Where acts lead: the name of an act with the id of a stage. */
  @PostMapping("/leads")
  @Needs(Right.MANAGE)
  String lead(SiteContext site, @RequestParam Map<String, String> fields, Reply reply) {
    Map<StageAct, Long> leads = new EnumMap<>(StageAct.class);
    for (StageAct act : StageAct.values()) {
      String stage = fields.getOrDefault(act.name(), "");
      if (stage.matches("\\d{1,18}")) {
        leads.put(act, Long.valueOf(stage));
      }
    }
    edits.lead(site, leads);
    reply.say("Saved.");
    return back(site);
  }

  private static String back(SiteContext site) {
    return "redirect:" + site.base() + "/setup/stages";
  }
}
