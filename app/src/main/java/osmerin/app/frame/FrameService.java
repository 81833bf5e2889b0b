package osmerin.app.frame;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Tally;
import osmerin.app.frame.Frame.Area;
import osmerin.app.groups.GroupLists;
import osmerin.app.history.History;
import osmerin.app.notices.Notices;
import osmerin.app.pitches.PitchService;
import osmerin.app.plan.Month;
import osmerin.app.plan.MonthService;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.team.AccountService;

/** Gathers what stands around a page. */
@Service
public class FrameService {
  private final GroupLists groups;
  private final PitchService pitches;
  private final MonthService months;
  private final ArticleService articles;
  private final SiteService sites;
  private final AccountService accounts;
  private final Notices notices;
  private final History history;

  /** Everything that changes what stands around a page is an entry in the history. */
  private final Cache<Asked, OfSite> kept = Caffeine.newBuilder().maximumSize(500).build();

  private final Cache<OfMonth, Tideline> tidelines = Caffeine.newBuilder().maximumSize(500).build();

  FrameService(
      GroupLists groups,
      PitchService pitches,
      MonthService months,
      ArticleService articles,
      SiteService sites,
      AccountService accounts,
      Notices notices,
      History history) {
    this.history = history;
    this.groups = groups;
    this.pitches = pitches;
    this.months = months;
    this.articles = articles;
    this.sites = sites;
    this.accounts = accounts;
    this.notices = notices;
  }

  /** What is asked for, on which day and after which changes. */
  private record Asked(long siteId, String slug, LocalDate today, String changes) {}

  private record OfMonth(long siteId, LocalDate today, YearMonth month, String changes) {}

  /** What everybody sees who works on a site. */
  private record OfSite(List<Area> areas, Tideline tideline) {}

  /**
   * What stands around a page.
   *
   * @param open the month that the page is about, null for the one in hand
   */
  @Transactional(readOnly = true)
  public Frame frame(SiteContext context, @Nullable YearMonth open) {
    Asked asked =
        new Asked(context.siteId(), context.site().slug(), context.today(), history.state(context));
    OfSite ofSite = kept.get(asked, key -> ofSite(context));
    return new Frame(
        context,
        ofSite.areas(),
        open == null || open.equals(ofSite.tideline().month().month())
            ? ofSite.tideline()
            : tideline(context, open),
        sites.of(context.personId()),
        accounts.settings(context.personId()),
        notices.countUnread(context.personId()));
  }

  private OfSite ofSite(SiteContext context) {
    Month month = months.month(context, YearMonth.from(context.today()));
    return new OfSite(areas(context, month), Tideline.of(month));
  }

  public Tideline tideline(SiteContext context, YearMonth month) {
    OfMonth asked = new OfMonth(context.siteId(), context.today(), month, history.state(context));
    return tidelines.get(asked, key -> Tideline.of(months.month(context, month)));
  }

  private List<Area> areas(SiteContext context, Month month) {
    String base = "/" + context.site().slug();
    Tally tally = articles.tally(context.siteId());
    long late = articles.open(context).stream().filter(p -> p.standing().state().isLate()).count();
    return List.of(
        new Area("research", "Research", base + "/research", groups.open(context) + " open", false),
        new Area(
            "pitches", "Pitches", base + "/pitches", pitches.countOpen(context) + " open", false),
        new Area("plan", "Plan", base + "/plan", month.missing() + " missing", false),
        late > 0
            ? new Area("articles", "Articles", base + "/articles", late + " late", true)
            : new Area(
                "articles", "Articles", base + "/articles", tally.inWork() + " in work", false),
        new Area("live", "Live", base + "/live", tally.live() + " live", false));
  }
}
