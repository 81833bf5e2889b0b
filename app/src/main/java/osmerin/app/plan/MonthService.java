package osmerin.app.plan;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.PlannedRound;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.core.article.Kind;
import osmerin.core.pace.Pace;
import osmerin.core.workday.WorkCalendar;

/** Months: their targets, and how they stand. */
@Service
public class MonthService {
  /** A larger target is a slip of the finger. */
  static final int LARGEST_TARGET = 999;

  private final ArticleService articles;
  private final SiteService sites;
  private final TargetMapper targets;

  MonthService(ArticleService articles, SiteService sites, TargetMapper targets) {
    this.articles = articles;
    this.sites = sites;
    this.targets = targets;
  }

  public Month month(SiteContext context, YearMonth month) {
    List<PlannedRound> rounds = articles.inDays(context, month.atDay(1), month.atEndOfMonth());
    WorkCalendar calendar = sites.calendar(context.site());
    Map<Kind, Integer> wanted =
        targets.of(context.siteId(), month.atDay(1)).stream()
            .collect(Collectors.toMap(Target::kind, Target::number));
    LocalDate today = context.today();
    return new Month(
        month,
        today,
        rounds,
        pace(month, Kind.NEW, wanted, rounds, today, calendar),
        pace(month, Kind.REFRESH, wanted, rounds, today, calendar));
  }

  private static Pace pace(
      YearMonth month,
      Kind kind,
      Map<Kind, Integer> wanted,
      List<PlannedRound> rounds,
      LocalDate today,
      WorkCalendar calendar) {
    return Pace.of(
        month,
        wanted.getOrDefault(kind, 0),
        rounds.stream().filter(p -> p.round().kind() == kind).map(PlannedRound::paced).toList(),
        today,
        calendar);
  }

  @Transactional
  public void setTargets(SiteContext context, YearMonth month, int newArticles, int refreshes) {
    for (int number : new int[] {newArticles, refreshes}) {
      if (number < 0 || number > LARGEST_TARGET) {
        throw new RefusedException("A target is a number from 0 to " + LARGEST_TARGET + ".");
      }
    }
    LocalDate first = month.atDay(1);
    targets.set(context.siteId(), first, Kind.NEW, newArticles, context.personId());
    targets.set(context.siteId(), first, Kind.REFRESH, refreshes, context.personId());
  }
}
