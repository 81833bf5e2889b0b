package osmerin.app.desk;

import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import osmerin.app.articles.ArticleService;
import osmerin.app.desk.FirstSteps.Step;
import osmerin.app.groups.GroupLists;
import osmerin.app.plan.MonthService;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;

/** Leads whoever may do it through the first steps of a new site. What is done stays done. */
@Service
public class GettingStarted {
  private final GroupLists groups;
  private final ArticleService articles;
  private final TeamService team;
  private final MonthService months;

  GettingStarted(
      GroupLists groups, ArticleService articles, TeamService team, MonthService months) {
    this.groups = groups;
    this.articles = articles;
    this.team = team;
    this.months = months;
  }

  /** The steps that the person may take, done or not. */
  public FirstSteps steps(SiteContext context) {
    List<Step> steps = new ArrayList<>();
    if (context.may(Right.IMPORT)) {
      steps.add(
          new Step(
              "Import keyword research",
              "A CSV, TSV or XLSX file from your tools. Osmerin groups it into topics.",
              "/research/import",
              groups.hasKeywords(context),
              false));
    }
    if (context.may(Right.COMMISSION)) {
      steps.add(
          new Step(
              "Import live pages",
              "A sitemap, a feed or a table of what is published already. A new blog has none.",
              "/live/inventory/bring-in",
              articles.tally(context.siteId()).live() > 0,
              true));
    }
    if (context.may(Right.MANAGE)) {
      steps.add(
          new Step(
              "Invite people",
              "Editors, writers and strategists, each with their own desk.",
              "/team",
              team.people(context.siteId()).size() > 1,
              true));
    }
    if (context.may(Right.TARGETS)) {
      steps.add(
          new Step(
              "Set this month's targets",
              "How many new and refreshed articles the month should bring.",
              "/plan/" + YearMonth.from(context.today()),
              months.hasTargets(context),
              false));
    }
    return new FirstSteps(steps);
  }
}
