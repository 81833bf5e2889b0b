package osmerin.app.plan;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.core.article.Kind;
import osmerin.core.pace.MonthSoFar;
import osmerin.core.pace.Pace;

/** Months: their targets, and how they stand. */
@Service
public class MonthService implements Reversal {
  /** A larger target is a slip of the finger. */
  static final int LARGEST_TARGET = 999;

  private static final String NEW_TARGET = "Target for new articles";
  private static final String REFRESH_TARGET = "Target for refreshed articles";

  private final ArticleService articles;
  private final SiteService sites;
  private final TargetMapper targets;
  private final KeptMonths kept;
  private final History history;

  MonthService(
      ArticleService articles,
      SiteService sites,
      TargetMapper targets,
      KeptMonths kept,
      History history) {
    this.kept = kept;
    this.articles = articles;
    this.sites = sites;
    this.targets = targets;
    this.history = history;
  }

  public Month month(SiteContext context, YearMonth month) {
    List<PlannedRound> rounds = articles.inDays(context, month.atDay(1), month.atEndOfMonth());
    LocalDate today = context.today();
    MonthSoFar soFar = new MonthSoFar(month, today, sites.calendar(context.site()));
    PaceInput input = new PaceInput(soFar, wanted(context, month), rounds, kept.of(context, month));
    return new Month(month, today, rounds, input.pace(Kind.NEW), input.pace(Kind.REFRESH));
  }

  private Map<Kind, Integer> wanted(SiteContext context, YearMonth month) {
    return targets.of(context.siteId(), month.atDay(1)).stream()
        .collect(Collectors.toMap(Target::kind, Target::number));
  }

  /** What the pace of a month is worked out from. */
  private record PaceInput(
      MonthSoFar month, Map<Kind, Integer> wanted, List<PlannedRound> rounds, KeptPlan plan) {
    private Pace pace(Kind kind) {
      return Pace.of(
          month,
          wanted.getOrDefault(kind, 0),
          rounds.stream().filter(p -> p.round().kind() == kind).map(PlannedRound::paced).toList(),
          plan.of(kind));
    }
  }

  /** Whether a target was ever set. */
  public boolean hasTargets(SiteContext context) {
    return targets.hasAny(context.siteId());
  }

  /**
   * Sets a month's targets.
   *
   * @param seen the targets the person saw, null to set them whatever they are
   */
  @Transactional
  public void setTargets(
      SiteContext context, YearMonth month, @Nullable Targets seen, Targets wanted) {
    context.require(Right.TARGETS);
    for (int number : new int[] {wanted.newArticles(), wanted.refreshes()}) {
      if (number < 0 || number > LARGEST_TARGET) {
        throw new RefusedException("A target is a number from 0 to " + LARGEST_TARGET + ".");
      }
    }
    targets.lock(context.siteId());
    Targets now = targets(context, month);
    if (seen != null && !seen.equals(now)) {
      throw new ConflictException(
          new ConflictException.Field("The month", "Targets"),
          now.words(),
          wanted.words(),
          history.lastBy(context, Thing.MONTH, month, null),
          now.asSeen());
    }
    List<Change> changes = new ArrayList<>();
    set(context, month, Kind.NEW, now.newArticles(), wanted.newArticles()).ifPresent(changes::add);
    set(context, month, Kind.REFRESH, now.refreshes(), wanted.refreshes()).ifPresent(changes::add);
    history.note(
        context,
        Right.TARGETS,
        "The targets of %s are %s.".formatted(In.month(month, context.today()), wanted.words()),
        changes);
  }

  private Optional<Change> set(
      SiteContext context, YearMonth month, Kind kind, int now, int wanted) {
    if (now == wanted) {
      return Optional.empty();
    }
    targets.set(context.siteId(), month.atDay(1), kind, wanted, context.personId());
    String field = kind == Kind.NEW ? NEW_TARGET : REFRESH_TARGET;
    return Optional.of(
        Change.of(Thing.MONTH, month, field, String.valueOf(now), String.valueOf(wanted)));
  }

  private Targets targets(SiteContext context, YearMonth month) {
    Map<Kind, Integer> wanted = wanted(context, month);
    return new Targets(wanted.getOrDefault(Kind.NEW, 0), wanted.getOrDefault(Kind.REFRESH, 0));
  }

  @Override
  public Thing thing() {
    return Thing.MONTH;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    YearMonth month = YearMonth.parse(key);
    targets.lock(context.siteId());
    for (Change change : changes) {
      Kind kind = change.field().equals(NEW_TARGET) ? Kind.NEW : Kind.REFRESH;
      int now = wanted(context, month).getOrDefault(kind, 0);
      if (now != Integer.parseInt(change.to())) {
        throw new RefusedException("The target is " + now + " by now, so it cannot be put back.");
      }
      targets.set(
          context.siteId(),
          month.atDay(1),
          kind,
          Integer.parseInt(change.from()),
          context.personId());
    }
  }
}
