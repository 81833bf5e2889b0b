package osmerin.app.articles;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.rounds.Impossible;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Planning;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.RoundPlanner;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StageList;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.Steps;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.StepDifference;
import osmerin.core.runup.StepRole;

/** Articles, their rounds, steps, stages and dates. */
@Service
public class ArticleService {
  private final ArticleMapper articles;
  private final OpenRounds open;
  private final Steps steps;
  private final ArticleTypeService types;
  private final StageList stages;
  private final Planning planning;
  private final History history;
  private final ArticleNotices notices;

  ArticleService(
      ArticleMapper articles,
      OpenRounds open,
      Steps steps,
      ArticleTypeService types,
      StageList stages,
      Planning planning,
      History history,
      ArticleNotices notices) {
    this.articles = articles;
    this.open = open;
    this.steps = steps;
    this.types = types;
    this.stages = stages;
    this.planning = planning;
    this.history = history;
    this.notices = notices;
  }

  /** Commissions an article: it gets the next number and stands at the first stage. */
  @Transactional
  public Round commission(SiteContext context, Commission commission) {
    return commission(context, commission, List.of());
  }

  /**
   * Commissions an article.
   *
   * @param besides what else is changed with it, such as the pitch it comes from
   */
  @Transactional
  public Round commission(SiteContext context, Commission commission, List<Change> besides) {
    context.require(Right.COMMISSION);
    String title = Commission.title(commission.title());
    ArticleType type = types.get(context.siteId(), Kind.NEW, commission.typeId());
    int number = articles.takeNumbers(context.siteId(), 1);
    long article = articles.insertArticle(context.siteId(), number, title, commission.groupId());
    people(context, type, commission)
        .forEach((role, person) -> setPeople(context, article, role, List.of(person)));
    beginRound(context, article, 1, type, commission.publishDate());
    Round round = get(context, number);
    List<Change> changes = new ArrayList<>(besides);
    // Taking it back puts the article into the archive; its number is not given again.
    changes.add(
        Change.of(Thing.ARTICLE, number, ArticleEdits.ARCHIVED, null, "commissioned")
            .keeping("archived", null));
    history.note(
        context,
        Right.COMMISSION,
        "%s “%s” was commissioned.".formatted(round.reference(), title),
        changes);
    notices.commissioned(context, round);
    return round;
  }

  /**
   * Opens a further round on a live article, without an entry in the history.
   *
   * @throws RefusedException when its current round is in work
   */
  @Transactional
  public Round openRefresh(
      SiteContext context, int number, long depthId, @Nullable LocalDate publishDate) {
    context.require(Right.COMMISSION);
    Round before = live(context, number);
    ArticleType depth = types.get(context.siteId(), Kind.REFRESH, depthId);
    articles.retireRounds(before.article().id());
    beginRound(context, before.article().id(), before.ordinal() + 1, depth, publishDate);
    Round round = get(context, number);
    notices.commissioned(context, round);
    return round;
  }

  /** Removes a further round on which nobody has worked; the one before is current. */
  @Transactional
  public void withdraw(Round round) {
    steps.remove(round.id());
    articles.removeRound(round.id(), round.article().id(), round.ordinal() - 1);
  }

  /** Why an article that is commissioned cannot be published on its date; empty if it can. */
  public Optional<Impossible> impossible(SiteContext context, Commission commission) {
    ArticleType type = types.get(context.siteId(), Kind.NEW, commission.typeId());
    Map<StepRole, Long> people = people(context, type, commission);
    return planning.impossible(context.site(), types.runUp(type), people, commission.publishDate());
  }

  /** Why a refresh that begins today cannot be published on a day; empty if it can. */
  public Optional<Impossible> impossible(
      SiteContext context, int number, long depthId, @Nullable LocalDate publishDate) {
    Map<StepRole, Long> people = live(context, number).article().leads();
    ArticleType depth = types.get(context.siteId(), Kind.REFRESH, depthId);
    return planning.impossible(context.site(), types.runUp(depth), people, publishDate);
  }

  /** The round that a refresh follows. */
  private Round live(SiteContext context, int number) {
    Round round = get(context, number);
    if (!round.isLive()) {
      throw new RefusedException(
          round.reference() + " is in work. Publish it before you open another refresh.");
    }
    return round;
  }

  /** Says who does a role's steps; whoever leads comes first. */
  @Transactional
  public void setPeople(SiteContext context, long articleId, StepRole role, List<Long> people) {
    articles.removePeople(articleId, role);
    if (!people.isEmpty()) {
      articles.addPeople(articleId, context.siteId(), role, people);
    }
  }

  /** Who is named, and for what is left open who usually does it. */
  private Map<StepRole, Long> people(SiteContext context, ArticleType type, Commission commission) {
    Map<StepRole, Long> people = new HashMap<>(types.people(context.siteId(), type.id()));
    people.putAll(commission.people());
    return people;
  }

  private void beginRound(
      SiteContext context,
      long article,
      int ordinal,
      ArticleType type,
      @Nullable LocalDate publishDate) {
    Stage first = stages.of(context.siteId()).at(StageAct.COMMISSIONING);
    long round =
        articles.insertRound(
            new ArticleMapper.Opened(
                article, context.siteId(), ordinal, type.kind(), type.id(), first, publishDate));
    steps.begin(round, type.id());
    articles.insertMove(round, null, first, context.personId());
  }

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
    RoundPlanner planner = planning.planner(context.site());
    List<StepRow> rows = steps.of(List.of(round.id()));
    PlannedRound planned = planner.plan(round, rows);
    return new ArticlePage(
        planned,
        articles.roundsOf(round.article().id()),
        articles.moves(round.article().id()),
        StepDifference.of(types.steps(round.typeId()), rows.stream().map(StepRow::step).toList()),
        planner.draw(planned));
  }

  /** The current round with its steps worked out for today. */
  public PlannedRound planned(SiteContext context, int number) {
    return planned(context, number, null);
  }

  /** The same of a given round. */
  public PlannedRound planned(SiteContext context, int number, @Nullable Integer ordinal) {
    return planned(context, List.of(get(context, number, ordinal))).get(0);
  }

  /** All rounds in work, by publish date, those without one last. */
  public List<PlannedRound> open(SiteContext context) {
    return open.of(context);
  }

  /** Live rounds whose follow-ups are not all done, the one that went live first, first. */
  public List<PlannedRound> withFollowUps(SiteContext context) {
    return open.plan(context.site(), articles.withFollowUps(context.siteId()));
  }

  /** What went live or is to be published on these days, by day. */
  public List<PlannedRound> inDays(SiteContext context, LocalDate from, LocalDate to) {
    return open.plan(context.site(), articles.inDays(context.siteId(), from, to));
  }

  /** Live articles with their latest live round, the latest first. */
  public List<Round> live(SiteContext context, int offset, int limit) {
    return articles.live(context.siteId(), offset, limit);
  }

  /** Rounds of the site by their ids, planned. */
  public Map<Long, PlannedRound> byIds(SiteContext context, List<Long> ids) {
    return open.plan(context.site(), articles.byIds(context.siteId(), ids)).stream()
        .collect(Collectors.toMap(planned -> planned.round().id(), Function.identity()));
  }

  /** A round of the site by its id. */
  public Round byId(SiteContext context, long roundId) {
    return articles
        .byId(context.siteId(), roundId)
        .orElseThrow(() -> new NotFoundException("round", roundId));
  }

  /** Current rounds of the articles with these numbers, by number. */
  public List<Round> byNumbers(SiteContext context, Collection<Integer> numbers) {
    return numbers.isEmpty() ? List.of() : articles.byNumbers(context.siteId(), numbers);
  }

  /** Rounds in work, and articles that are live. */
  public Tally tally(long siteId) {
    return articles.tally(siteId);
  }

  /** For each keyword group that has articles, those. */
  public Map<Long, List<GroupArticle>> byGroup(long siteId) {
    return articles.byGroup(siteId).stream().collect(Collectors.groupingBy(GroupArticle::groupId));
  }

  /** Rounds with their steps worked out for today. */
  List<PlannedRound> planned(SiteContext context, List<Round> rounds) {
    return open.plan(context.site(), rounds);
  }

  /** The plan that a round would have with another publish date. */
  BackPlan planWith(SiteContext context, Round round, LocalDate date) {
    List<StepRow> rows = steps.of(List.of(round.id()));
    return planning.planner(context.site()).backPlan(round, rows, date);
  }
}
