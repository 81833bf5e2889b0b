package osmerin.app.articles;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.Course;
import osmerin.core.runup.PlannedStep;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;

/** Articles, their rounds, steps, stages and dates. */
@Service
public class ArticleService {
  /** A publishing that has not ended after so long was broken off, and may be begun again. */
  static final Duration BROKEN_OFF = Duration.ofMinutes(1);

  private final ArticleMapper articles;
  private final ArticleTypeService types;
  private final SiteService sites;
  private final Clock clock;

  ArticleService(ArticleMapper articles, ArticleTypeService types, SiteService sites, Clock clock) {
    this.articles = articles;
    this.types = types;
    this.sites = sites;
    this.clock = clock;
  }

  // Commissioning

  /** Commissions an article: it gets the next number and stands at Commissioned. */
  @Transactional
  public Round commission(SiteContext context, Commission commission) {
    String title = title(commission.title());
    ArticleType type = type(context, Kind.NEW, commission.typeId());
    int number = articles.takeNumber(context.siteId());
    long article = articles.insertArticle(context.siteId(), number, title, commission.groupId());
    commission
        .people()
        .forEach((role, person) -> articles.setPerson(article, context.siteId(), role, person));
    beginRound(context, article, 1, type, commission.publishDate());
    return get(context, number);
  }

  /** Opens a further round on a live article. */
  @Transactional
  public Round beginRefresh(
      SiteContext context, int number, long depthId, @Nullable LocalDate publishDate) {
    Round before = get(context, number);
    if (!before.isLive()) {
      throw new RefusedException(
          before.reference() + " is in work. Publish it before you open another refresh.");
    }
    ArticleType depth = type(context, Kind.REFRESH, depthId);
    articles.retireRounds(before.articleId());
    beginRound(context, before.articleId(), before.ordinal() + 1, depth, publishDate);
    return get(context, number);
  }

  private void beginRound(
      SiteContext context,
      long article,
      int ordinal,
      ArticleType type,
      @Nullable LocalDate publishDate) {
    long round =
        articles.insertRound(
            article, context.siteId(), ordinal, type.kind(), type.id(), publishDate);
    articles.copySteps(round, type.id());
    articles.insertMove(round, null, Stage.COMMISSIONED, context.personId());
  }

  private ArticleType type(SiteContext context, Kind kind, long id) {
    return types.list(context.siteId(), kind).stream()
        .filter(type -> type.id() == id)
        .findFirst()
        .orElseThrow(() -> new NotFoundException("article type", id));
  }

  /**
   * A title without space around it.
   *
   * @throws RefusedException when it is empty or too long
   */
  public static String title(String typed) {
    String title = typed.strip().replaceAll("\\s+", " ");
    if (title.isEmpty() || title.length() > Commission.LONGEST_TITLE) {
      throw new RefusedException(
          "A title has 1 to "
              + Commission.LONGEST_TITLE
              + " characters; this one has "
              + title.length()
              + ".");
    }
    return title;
  }

  // Looking

  /** The current round. */
  public Round get(SiteContext context, int number) {
    return get(context, number, null);
  }

  /** A given round, or the current one. */
  public Round get(SiteContext context, int number, @Nullable Integer ordinal) {
    return articles
        .find(context.siteId(), number, ordinal)
        .orElseThrow(() -> new NotFoundException("article", number));
  }

  public ArticlePage page(SiteContext context, int number, @Nullable Integer ordinal) {
    Round round = get(context, number, ordinal);
    return new ArticlePage(
        planned(context, round),
        articles.roundsOf(round.articleId()),
        articles.moves(round.articleId()));
  }

  /** All rounds in work, by publish date, those without one last. */
  public List<PlannedRound> open(SiteContext context) {
    return plan(context.site(), articles.open(context.siteId()));
  }

  /** What went live or is to be published on these days, by day. */
  public List<PlannedRound> inDays(SiteContext context, LocalDate from, LocalDate to) {
    return plan(context.site(), articles.inDays(context.siteId(), from, to));
  }

  /** Live articles with their latest live round, the latest first. */
  public List<Round> live(SiteContext context, int offset, int limit) {
    return articles.live(context.siteId(), offset, limit);
  }

  public LedgerPage ledger(SiteContext context, ArticleFilter filter) {
    List<Long> ids = articles.ledger(context.siteId(), filter);
    Map<Long, PlannedRound> rounds =
        ids.isEmpty()
            ? Map.of()
            : plan(context.site(), articles.byIds(ids)).stream()
                .collect(Collectors.toMap(p -> p.round().id(), Function.identity()));
    return new LedgerPage(
        ids.stream().map(rounds::get).toList(), articles.count(context.siteId(), filter), filter);
  }

  /** Rounds in work, and articles that are live. */
  public Tally tally(long siteId) {
    return articles.tally(siteId);
  }

  /** For each keyword group that has articles, those. */
  public Map<Long, List<GroupArticle>> byGroup(long siteId) {
    return articles.byGroup(siteId).stream().collect(Collectors.groupingBy(GroupArticle::groupId));
  }

  private PlannedRound planned(SiteContext context, Round round) {
    return plan(context.site(), List.of(round)).get(0);
  }

  private List<PlannedRound> plan(Site site, List<Round> rounds) {
    if (rounds.isEmpty()) {
      return List.of();
    }
    List<StepRow> steps = articles.steps(rounds.stream().map(Round::id).toList());
    return planner(site).plan(rounds, steps);
  }

  private RoundPlanner planner(Site site) {
    return new RoundPlanner(sites.calendar(site), sites.today(site));
  }

  // Changing

  /**
   * Renames an article.
   *
   * @param seen the version the person saw, so that nobody's change is lost
   */
  @Transactional
  public void rename(SiteContext context, int number, String title, int seen) {
    Round round = get(context, number);
    String wanted = title(title);
    if (articles.rename(round.articleId(), wanted, seen) == 0) {
      throw new RefusedException(
          "Meanwhile somebody named %s “%s”. You typed “%s”; look at it and rename it again."
              .formatted(round.reference(), round.title(), wanted));
    }
  }

  @Transactional
  public void setPerson(SiteContext context, int number, StepRole role, @Nullable Long personId) {
    long article = get(context, number).articleId();
    if (personId == null) {
      articles.removePerson(article, role);
    } else {
      articles.setPerson(article, context.siteId(), role, personId);
    }
  }

  /**
   * Sets the publish date; what is not done moves with it.
   *
   * @param from the date the person saw, so that nobody's change is lost
   * @param to null takes the date away
   * @param allTheSame set it even when there is no time for the steps
   */
  @Transactional
  public DateChange setPublishDate(
      SiteContext context,
      int number,
      @Nullable LocalDate from,
      @Nullable LocalDate to,
      boolean allTheSame) {
    Round round = get(context, number);
    if (round.isLive()) {
      throw new RefusedException(
          round.reference() + " went live on " + In.day(round.liveOn()) + "; its date stays.");
    }
    if (to != null && !allTheSame) {
      BackPlan plan = planWith(context, round, to);
      if (plan.course() == Course.IMPOSSIBLE) {
        return new DateChange.Impossible(
            round,
            to,
            plan.deciding().stream().map(RunUpStep::name).toList(),
            plan.earliestPublishDate());
      }
    }
    if (articles.setPublishDate(round.id(), from, to) == 0) {
      throw new RefusedException(
          "Meanwhile somebody set the date of %s to %s. Look at it and set it again."
              .formatted(
                  round.reference(),
                  round.publishDate() == null ? "none" : In.day(round.publishDate())));
    }
    return new DateChange.Done(round, from, to);
  }

  private BackPlan planWith(SiteContext context, Round round, LocalDate date) {
    List<StepRow> steps = articles.steps(List.of(round.id()));
    return planner(context.site()).backPlan(round, steps, date);
  }

  /** Moves one stage on or back. Going live is publishing, not a move. */
  @Transactional
  public Stage move(SiteContext context, int number, boolean forward, Stage seen) {
    Round round = get(context, number);
    Stage to =
        (forward ? seen.next() : seen.previous())
            .orElseThrow(() -> new RefusedException(noMove(round, forward)));
    if (articles.setStage(round.id(), seen, to) == 0) {
      throw new RefusedException(
          "Meanwhile somebody moved %s to %s.".formatted(round.reference(), round.stage().label()));
    }
    articles.insertMove(round.id(), seen, to, context.personId());
    return to;
  }

  private static String noMove(Round round, boolean forward) {
    return forward && round.stage() == Stage.READY
        ? round.reference() + " is Ready. Publishing takes it on."
        : round.reference()
            + " stands at "
            + round.stage().label()
            + " and goes no further this way.";
  }

  /** Ticks a step off, or takes the tick away. Its due date stays as it is at that moment. */
  @Transactional
  public void tick(SiteContext context, int number, String key, boolean done) {
    Round round = get(context, number);
    if (!done) {
      articles.untick(round.id(), key);
      return;
    }
    PlannedStep step =
        planned(context, round).plan().steps().stream()
            .filter(s -> s.step().key().equals(key))
            .findFirst()
            .orElseThrow(() -> new NotFoundException("step", key));
    articles.tick(round.id(), key, context.today(), context.personId(), step.due());
  }

  // Publishing

  /**
   * Claims the round for publishing.
   *
   * @throws RefusedException when it is not Ready, or somebody is publishing it at this moment
   */
  @Transactional
  public void beginPublishing(Round round) {
    Instant now = clock.instant();
    if (articles.beginPublishing(round.id(), now.minus(BROKEN_OFF), now) == 0) {
      throw new RefusedException(
          round.isLive()
              ? round.reference() + " is live already."
              : round.stage() == Stage.READY
                  ? round.reference() + " is being published at this moment."
                  : round.reference() + " is not Ready.");
    }
  }

  /** Publishing failed: the article stays Ready, with the reason. */
  @Transactional
  public void publishingFailed(Round round, String reason) {
    articles.publishingFailed(round.id(), reason, clock.instant());
  }

  /** Publishing succeeded: the round is live from now on. */
  @Transactional
  public void wentLive(SiteContext context, Round round, String address, boolean simulated) {
    LocalDate today = sites.today(context.site());
    if (articles.wentLive(round.id(), clock.instant(), today) == 1) {
      articles.setLiveAddress(round.articleId(), address, simulated);
      articles.insertMove(round.id(), Stage.READY, Stage.LIVE, context.personId());
    }
  }

  /** People of the three roles that are named, for a form. */
  public static Map<StepRole, Long> people(
      @Nullable Long strategist, @Nullable Long editor, @Nullable Long writer) {
    Map<StepRole, Long> people = new java.util.EnumMap<>(StepRole.class);
    putIfNamed(people, StepRole.STRATEGIST, strategist);
    putIfNamed(people, StepRole.EDITOR, editor);
    putIfNamed(people, StepRole.WRITER, writer);
    return people;
  }

  private static void putIfNamed(Map<StepRole, Long> people, StepRole role, @Nullable Long person) {
    if (Objects.nonNull(person)) {
      people.put(role, person);
    }
  }
}
