package osmerin.app.groups;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.articles.CommissionForm;
import osmerin.app.groups.GroupPages.GroupPage;
import osmerin.app.groups.GroupPages.WhatIf;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;

/** A group: its page, its drawer, what it is worth, and commissioning an article from it. */
@Controller
@RequestMapping("/{site}/research")
class GroupController {
  private final GroupService groups;
  private final GroupPages pages;
  private final ArticleService articles;
  private final CommissionForm commissioning;
  private final History history;

  GroupController(
      GroupService groups,
      GroupPages pages,
      ArticleService articles,
      CommissionForm commissioning,
      History history) {
    this.groups = groups;
    this.pages = pages;
    this.articles = articles;
    this.commissioning = commissioning;
    this.history = history;
  }

  @GetMapping("/groups/{id}")
  @Needs(Right.READ)
  String group(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "1") int page,
      Model model) {
    addGroup(site, id, page, model);
    return "groups/group";
  }

  @GetMapping("/groups/{id}/drawer")
  @Needs(Right.READ)
  String drawer(SiteContext site, @PathVariable long id, Model model) {
    addGroup(site, id, 1, model);
    return "groups/drawer";
  }

  /** What the group would be worth at another strength, or at a position of choice. */
  @GetMapping("/groups/{id}/worth")
  @Needs(Right.READ)
  String worth(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(required = false) @Nullable Integer strength,
      @RequestParam(required = false) @Nullable Integer position,
      Model model) {
    model.addAttribute("base", site.base());
    addWorth(pages.whatIf(site, id, strength, position), model);
    return "worth/worth :: worth";
  }

  private static void addWorth(WhatIf whatIf, Model model) {
    model.addAttribute("g", whatIf.group());
    model.addAttribute("siteStrength", whatIf.siteStrength());
    model.addAttribute("strength", whatIf.strength());
    model.addAttribute("position", whatIf.position());
    model.addAttribute("worth", whatIf.worth());
    model.addAttribute("chances", whatIf.siteStrength().at(whatIf.strength()).chances());
  }

  private void addGroup(SiteContext site, long id, int asked, Model model) {
    GroupPage page = pages.page(site, id, asked);
    model.addAttribute("page", page);
    addWorth(
        new WhatIf(page.group(), page.siteStrength(), page.siteStrength().strength(), null), model);
    model.addAttribute("history", history.entries(site, Asked.of(Thing.GROUP, id), 0, 10));
    model.addAttribute("intents", SearchIntent.values());
    model.addAttribute("stages", FunnelStage.values());
  }

  /** Why two keywords are together. */
  @GetMapping("/why")
  @Needs(Right.READ)
  String why(
      SiteContext site,
      @RequestParam(name = "marked", required = false) @Nullable List<Long> marked,
      Model model) {
    if (marked == null || marked.size() != 2) {
      throw new RefusedException("Mark two keywords to see why they are together.");
    }
    model.addAttribute("why", pages.why(site, marked.get(0), marked.get(1)));
    return "groups/why";
  }

  @GetMapping("/groups/{id}/commission")
  @Needs(Right.COMMISSION)
  String commission(
      SiteContext site, @PathVariable long id, CommissionForm.Answers typed, Model model) {
    Group group = groups.group(site, id);
    String title = Commission.titleOf(group.row().name());
    return commissioning.show(site, typed, title, context(site, group), model);
  }

  @PostMapping("/groups/{id}/commission")
  @Needs(Right.COMMISSION)
  String commission(
      SiteContext site, @PathVariable long id, CommissionForm.Answers answers, Reply reply) {
    Group group = groups.group(site, id);
    return commissioning.submit(
        site,
        answers,
        context(site, group),
        reply,
        commission -> articles.commission(site, commission));
  }

  private static CommissionForm.Origin context(SiteContext site, Group group) {
    return new CommissionForm.Origin(
        "/" + site.site().slug() + "/research/groups/" + group.row().id() + "/commission",
        "From the keyword group “" + group.row().name() + "”",
        group.row().id(),
        group.articles(),
        List.of());
  }
}
