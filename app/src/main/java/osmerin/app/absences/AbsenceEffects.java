package osmerin.app.absences;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.In;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.RoundPlanner;
import osmerin.app.site.SiteContext;
import osmerin.app.workdays.SiteCalendars;
import osmerin.core.runup.Course;

/** What becomes of the open articles of a site when somebody works on other days. */
@Component
class AbsenceEffects {
  private final ArticleService articles;

  AbsenceEffects(ArticleService articles) {
    this.articles = articles;
  }

  /**
   * An open article that stands worse.
   *
   * @param after what it becomes: late or impossible
   * @param earliest the earliest possible publish date then
   */
  record Effect(PlannedRound before, @Nullable Course after, LocalDate earliest) {
    /**
     * "MP-0065 “A firing schedule” becomes impossible; the earliest possible date is Mon 7 Dec".
     */
    String words() {
      String what =
          after == Course.IMPOSSIBLE
              ? "impossible; the earliest possible date is " + In.day(earliest)
              : "late";
      return "%s “%s” becomes %s"
          .formatted(before.round().reference(), before.round().title(), what);
    }
  }

  /** The articles that become late or impossible, were these the calendars. */
  List<Effect> of(SiteContext context, SiteCalendars calendars) {
    RoundPlanner planner = new RoundPlanner(calendars, context.today());
    List<Effect> effects = new ArrayList<>();
    for (PlannedRound before : articles.open(context)) {
      PlannedRound after = planner.plan(before.round(), before.steps());
      Course course = after.plan().course();
      if (isWorse(before.plan().course(), course)) {
        effects.add(new Effect(before, course, after.plan().earliestPublishDate()));
      }
    }
    return effects;
  }

  private static boolean isWorse(@Nullable Course before, @Nullable Course after) {
    boolean bad = after == Course.LATE || after == Course.IMPOSSIBLE;
    return bad && before != null && after.compareTo(before) < 0;
  }
}
