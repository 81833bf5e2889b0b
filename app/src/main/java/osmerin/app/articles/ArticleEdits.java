package osmerin.app.articles;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.OnTicked;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.RoundRecipe;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.StepState;
import osmerin.app.runups.StepStates;
import osmerin.app.runups.Steps;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.Completion;
import osmerin.core.runup.PlannedStep;

/**
 * Changes of one article: each proves the right, refuses what somebody else was faster with, keeps
 * history and tells whom it concerns.
 */
@Service
public class ArticleEdits {
  static final String TITLE = "Title";
  static final String ARCHIVED = "Archived";
  static final String STEP = "Step: ";

  private final ArticleMapper articles;
  private final Steps steps;
  private final ArticleTypeService types;
  private final ArticleService looking;
  private final History history;
  private final ArticleNotices notices;

  /** Those that move articles use this class themselves. */
  private final ObjectProvider<OnTicked> onTicked;

  ArticleEdits(
      ArticleMapper articles,
      Steps steps,
      ArticleTypeService types,
      ArticleService looking,
      History history,
      ArticleNotices notices,
      ObjectProvider<OnTicked> onTicked) {
    this.onTicked = onTicked;
    this.articles = articles;
    this.steps = steps;
    this.types = types;
    this.looking = looking;
    this.history = history;
    this.notices = notices;
  }

  /**
   * Renames an article.
   *
   * @param seen the version the person saw, so that nobody's change is lost
   */
  @Transactional
  public void rename(SiteContext context, int number, String title, int seen) {
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    String wanted = Commission.title(title);
    if (articles.rename(round.article().id(), wanted, seen) == 0) {
      Map<String, String> now = Map.of("seen", String.valueOf(round.article().version()));
      throw new ConflictException(
          new ConflictException.Field(round.reference(), TITLE),
          round.title(),
          wanted,
          who(context, number, TITLE),
          now);
    }
    if (!wanted.equals(round.title())) {
      history.note(
          context,
          Right.EDIT,
          "%s was renamed to “%s”.".formatted(round.reference(), wanted),
          Change.of(Thing.ARTICLE, number, TITLE, round.title(), wanted));
    }
  }

  private @Nullable String who(SiteContext context, int number, String field) {
    return history.lastBy(context, Thing.ARTICLE, number, field);
  }

  /**
   * Ticks a step off, or takes the tick away. Its due date stays as it is at that moment. A writer
   * ticks their own steps only. Whoever ticks what somebody else has just ticked changes nothing.
   */
  @Transactional
  public void tick(SiteContext context, int number, String key, boolean done) {
    steps.lock(looking.get(context, number).id());
    PlannedRound planned = looking.planned(context, number);
    Round round = planned.round();
    StepRow row =
        planned.steps().stream()
            .filter(s -> s.key().equals(key))
            .findFirst()
            .orElseThrow(() -> new NotFoundException("step", key));
    WorkRights.requireStep(context, round, row);
    if (done == (row.doneOn() != null)) {
      return;
    }
    List<Change> changes = new ArrayList<>();
    changes.add(done ? done(context, planned, row) : open(round, row));
    if (done) {
      onTicked.forEach(then -> changes.addAll(then.ticked(context, round, row)));
    }
    String sentence = done ? "“%s” of %s is done." : "“%s” of %s is open again.";
    history.note(context, Right.WORK, sentence.formatted(row.name(), round.reference()), changes);
    if (done) {
      planned.startable(row).forEach(next -> notices.canStart(context, round, next));
    }
  }

  /** Ticks a step off that something else completes; without an entry, none when it is not open. */
  public List<Change> complete(SiteContext context, Round round, Completion by) {
    return complete(context, round, step -> step.completedBy() == by);
  }

  /** Ticks a step off with something else; without an entry, none when it is not open. */
  public List<Change> complete(SiteContext context, Round round, String key) {
    return complete(context, round, step -> step.key().equals(key));
  }

  private List<Change> complete(SiteContext context, Round round, Predicate<StepRow> which) {
    steps.lock(round.id());
    PlannedRound planned = looking.planned(context, List.of(round)).get(0);
    return planned.steps().stream()
        .filter(s -> which.test(s) && s.doneOn() == null)
        .map(row -> done(context, planned, row))
        .toList();
  }

  /** Opens again what something else completed; without an entry, none when it is not done. */
  public List<Change> reopen(SiteContext context, Round round, Completion by) {
    steps.lock(round.id());
    return looking.planned(context, List.of(round)).get(0).steps().stream()
        .filter(step -> step.completedBy() == by && step.doneOn() != null)
        .map(row -> open(round, row))
        .toList();
  }

  private Change done(SiteContext context, PlannedRound planned, StepRow row) {
    PlannedStep step = planned.plan().steps().get(planned.steps().indexOf(row));
    StepTick after = new StepTick(row.key(), context.today(), context.personId(), step.due());
    steps.tick(row.roundId(), row.key(), after.doneOn(), after.doneBy(), after.due());
    return step(planned.round(), row, "open", "done", after);
  }

  private Change open(Round round, StepRow row) {
    steps.untick(round.id(), row.key());
    return step(round, row, "done", "open", StepTick.open(row.key()));
  }

  private static Change step(Round round, StepRow row, String before, String after, StepTick tick) {
    return Change.of(Thing.ARTICLE, round.article().number(), STEP + row.name(), before, after)
        .keeping(StepTick.before(row), tick);
  }

  /**
   * Says which group an article answers that is not live yet, without an entry of its own.
   *
   * @param seen the group it is to answer until then
   * @return false when it answers another one
   */
  public boolean answer(Round round, @Nullable Long seen, @Nullable Long groupId) {
    return articles.setGroup(round.article().id(), seen, groupId) == 1;
  }

  /** Gives the round another type; what is done stays, and so do steps of its own. */
  @Transactional
  public void setType(SiteContext context, int number, long typeId) {
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    ArticleType type = types.get(context.siteId(), round.kind(), typeId);
    history.note(
        context,
        Right.EDIT,
        "%s is a %s now.".formatted(round.reference(), type.name().toLowerCase(Locale.ROOT)),
        type(context, round, type));
  }

  /** Without an entry of its own; none when nothing changes. */
  public List<Change> type(SiteContext context, Round round, ArticleType type) {
    if (round.typeId() == type.id()) {
      return List.of();
    }
    if (round.isLive()) {
      throw new RefusedException(round.reference() + " is live; its type stays.");
    }
    List<StepState> before = steps.locked(round.id());
    RoundRecipe recipe = steps.recipe(round.id());
    List<StepState> after = retyped(context, round, type, before);
    articles.setType(round.id(), type.id());
    steps.put(round.id(), after);
    return List.of(
        Change.of(Thing.ARTICLE, round.article().number(), "Type", round.typeName(), type.name())
            .keeping(
                KeptType.of(round.typeId(), recipe, before),
                KeptType.of(type.id(), steps.recipe(round.id()), after)));
  }

  private List<StepState> retyped(
      SiteContext context, Round round, ArticleType type, List<StepState> before) {
    ArticleType was = types.find(context.siteId(), round.typeId()).orElseThrow();
    int version = steps.recipe(round.id()).version();
    return StepStates.following(before, types.stepsAt(was, version), types.steps(type.id()))
        .orElseThrow(
            () ->
                new RefusedException(
                    "The steps that %s has of its own don't go with “%s”. Change them first."
                        .formatted(round.reference(), type.name())));
  }

  /** Puts an article out of sight, or brings it back. */
  @Transactional
  public void archive(SiteContext context, int number, boolean away) {
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    history.note(
        context,
        Right.EDIT,
        round.reference() + (away ? " is archived." : " is restored."),
        archive(round, away));
  }

  /** Without an entry of its own; none when nothing changes. */
  public List<Change> archive(Round round, boolean away) {
    if (articles.archive(round.article().id(), away) == 0) {
      return List.of();
    }
    return List.of(
        Change.of(
            Thing.ARTICLE,
            round.article().number(),
            ARCHIVED,
            away ? null : "archived",
            away ? "archived" : null));
  }
}
