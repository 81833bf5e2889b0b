package osmerin.app.absences;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.RoundPlanner;
import osmerin.app.rounds.Setback;
import osmerin.app.site.SiteContext;
import osmerin.app.workdays.SiteCalendars;

/** What becomes of the open articles of a site when somebody works on other days. */
@Component
class AbsenceEffects {
  private final ArticleService articles;

  AbsenceEffects(ArticleService articles) {
    this.articles = articles;
  }

  /** For each article that stands worse, were these the calendars, what gets worse. */
  List<List<String>> of(SiteContext context, SiteCalendars calendars) {
    RoundPlanner planner = new RoundPlanner(calendars, context.today());
    List<List<String>> effects = new ArrayList<>();
    for (PlannedRound before : articles.open(context)) {
      PlannedRound after = planner.plan(before.round(), before.steps());
      List<String> words = Setback.of(before, after.plan());
      if (!words.isEmpty()) {
        effects.add(words);
      }
    }
    return effects;
  }
}
