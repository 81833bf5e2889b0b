package osmerin.app.desk;

import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import osmerin.app.articles.ArticleService;
import osmerin.app.desk.FirstSteps.Step;
import osmerin.app.groups.GroupService;
import osmerin.app.plan.Month;
import osmerin.app.plan.MonthService;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.app.topics.TopicService;

/** A person's own page. */
@Controller
class DeskController {
  private final DeskService desks;
  private final MonthService months;
  private final TopicService topics;
  private final GroupService groups;
  private final ArticleService articles;
  private final TeamService team;

  DeskController(
      DeskService desks,
      MonthService months,
      TopicService topics,
      GroupService groups,
      ArticleService articles,
      TeamService team) {
    this.groups = groups;
    this.articles = articles;
    this.team = team;
    this.topics = topics;
    this.desks = desks;
    this.months = months;
  }

  @GetMapping("/{site}/desk")
  @Needs(Right.READ)
  String desk(SiteContext site, Model model) {
    YearMonth now = YearMonth.from(site.today());
    Month month = months.month(site, now);
    model.addAttribute("desk", desks.desk(site, month));
    model.addAttribute("first", firstSteps(site, month));
    model.addAttribute("leadTopics", topics.leadTopics(site));
    return "desk/desk";
  }

  private FirstSteps firstSteps(SiteContext site, Month month) {
    List<Step> steps = new ArrayList<>();
    if (site.may(Right.IMPORT)) {
      steps.add(
          new Step(
              "Import keyword research",
              "A CSV, TSV or XLSX file from your tools. Osmerin groups it into topics.",
              "/research/import",
              groups.hasKeywords(site)));
    }
    if (site.may(Right.COMMISSION)) {
      steps.add(
          new Step(
              "Import live pages",
              "A sitemap, a feed or a table of what is published already.",
              "/live/inventory/bring-in",
              articles.tally(site.siteId()).live() > 0));
    }
    if (site.may(Right.MANAGE)) {
      steps.add(
          new Step(
              "Invite people",
              "Editors, writers and strategists, each with their own desk.",
              "/team",
              team.people(site.siteId()).size() > 1));
    }
    if (site.may(Right.TARGETS)) {
      steps.add(
          new Step(
              "Set this month's targets",
              "How many new and refreshed articles the month should bring.",
              "/plan/" + month.month(),
              month.newArticles().target() + month.refreshes().target() > 0));
    }
    return new FirstSteps(steps);
  }
}
