package osmerin.app.articles;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.Steps;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.article.Phase;
import osmerin.core.article.Stage;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.PlannedStep;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;

/**
 * Changes of one article: each proves the right, refuses what somebody else was faster with, keeps
 * history and tells whom it concerns.
 */
@Service
public class ArticleEdits {
  static final String TITLE = "Title";
  static final String PUBLISH_DATE = "Publish date";
  static final String STAGE = "Stage";
  static final String ARCHIVED = "Archived";
  static final String STEP = "Step: ";

  private final ArticleMapper articles;
  private final Steps steps;
  private final ArticleService looking;
  private final TeamService team;
  private final History history;
  private final ArticleNotices notices;

  ArticleEdits(
      ArticleMapper articles,
      Steps steps,
      ArticleService looking,
      TeamService team,
      History history,
      ArticleNotices notices) {
    this.articles = articles;
    this.steps = steps;
    this.looking = looking;
    this.team = team;
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
    String wanted = ArticleService.title(title);
    if (articles.rename(round.article().id(), wanted, seen) == 0) {
      Map<String, String> now = Map.of("seen", String.valueOf(round.article().version()));
      throw new ConflictException(
          round.reference(), TITLE, round.title(), wanted, who(context, number, TITLE), now);
    }
    if (!wanted.equals(round.title())) {
      history.note(
          context,
          Right.EDIT,
          "%s was renamed to “%s”.".formatted(round.reference(), wanted),
          Change.of(Thing.ARTICLE, number, TITLE, round.title(), wanted));
    }
  }

  /**
   * Names who does a role's steps.
   *
   * @param seen who was shown, null for nobody
   * @param personId null for nobody
   */
  @Transactional
  public void setPerson(
      SiteContext context,
      int number,
      StepRole role,
      @Nullable Long seen,
      @Nullable Long personId) {
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    Map<Long, String> names = team.names(context.siteId());
    if (!Objects.equals(round.person(role), seen)) {
      throw new ConflictException(
          round.reference(),
          label(role),
          name(names, round.person(role)),
          name(names, personId),
          who(context, number, label(role)),
          Map.of("seen", round.person(role) == null ? "" : round.person(role).toString()));
    }
    List<Change> changes = person(context, round, role, personId, names);
    String who = name(names, personId);
    history.note(
        context,
        Right.EDIT,
        "%s of %s is %s.".formatted(label(role), round.reference(), who),
        changes);
  }

  private @Nullable String who(SiteContext context, int number, String field) {
    return history.lastBy(context, Thing.ARTICLE, number, field);
  }

  /** Without an entry of its own; none when nothing changes. */
  List<Change> person(
      SiteContext context,
      Round round,
      StepRole role,
      @Nullable Long personId,
      Map<Long, String> names) {
    Long before = round.person(role);
    if (Objects.equals(before, personId)) {
      return List.of();
    }
    if (personId == null) {
      articles.removePerson(round.article().id(), role);
    } else {
      team.get(context, personId);
      articles.setPerson(round.article().id(), context.siteId(), role, personId);
      notices.named(context, round, role, personId);
    }
    return List.of(
        Change.of(
            Thing.ARTICLE,
            round.article().number(),
            label(role),
            before == null ? null : name(names, before),
            personId == null ? null : name(names, personId),
            before,
            personId));
  }

  private static String name(Map<Long, String> names, @Nullable Long person) {
    return person == null ? "nobody yet" : names.getOrDefault(person, "somebody who left");
  }

  static String label(StepRole role) {
    return role.name().charAt(0) + role.name().substring(1).toLowerCase(Locale.ROOT);
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
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    refuseIfLive(round);
    if (to != null && !allTheSame) {
      BackPlan plan = looking.planWith(context, round, to);
      if (Impossible.is(plan)) {
        return new DateChange.Refused(round, Impossible.of(plan, to));
      }
    }
    if (!Objects.equals(round.publishDate(), from)) {
      Map<String, String> now =
          Map.of("from", round.publishDate() == null ? "" : round.publishDate().toString());
      throw new ConflictException(
          round.reference(),
          PUBLISH_DATE,
          words(round.publishDate()),
          words(to),
          who(context, number, PUBLISH_DATE),
          now);
    }
    List<Change> changes = publishDate(context, round, to);
    String sentence =
        to == null
            ? round.reference() + " has no date now."
            : "%s moved to %s.".formatted(round.reference(), In.day(to));
    history.note(context, Right.EDIT, sentence, changes);
    return new DateChange.Done(round, from, to);
  }

  private static void refuseIfLive(Round round) {
    if (round.isLive()) {
      throw new RefusedException(
          round.reference()
              + " went live on "
              + In.day(round.publication().liveOn())
              + "; its date stays.");
    }
  }

  /** Without an entry of its own; none when nothing changes. */
  List<Change> publishDate(SiteContext context, Round round, @Nullable LocalDate to) {
    refuseIfLive(round);
    LocalDate before = round.publishDate();
    if (Objects.equals(before, to)) {
      return List.of();
    }
    if (articles.setPublishDate(round.id(), before, to) == 0) {
      throw new RefusedException("Somebody just set the date of " + round.reference() + ".");
    }
    notices.dateMoved(context, round, to);
    return List.of(
        Change.of(
            Thing.ARTICLE,
            round.article().number(),
            PUBLISH_DATE,
            words(before),
            words(to),
            before,
            to));
  }

  static String words(@Nullable LocalDate date) {
    return date == null ? "no date" : In.dayAndYear(date);
  }

  /**
   * Moves an article to another stage of the work. Going live is publishing, not a move; only
   * editors say that something is Ready, or undo that.
   *
   * @param seen the stage the person saw
   * @param anyway move it though steps are to be done that the stage takes for done
   * @throws AskException when there are such steps and it is not to be moved anyway
   */
  @Transactional
  public Stage move(SiteContext context, int number, Stage to, Stage seen, boolean anyway) {
    Round round = looking.get(context, number);
    requireWork(context, round);
    if (round.stage() != seen) {
      Map<String, String> now = Map.of("seen", round.stage().name());
      throw new ConflictException(
          round.reference(),
          STAGE,
          round.stage().label(),
          to.label(),
          who(context, number, STAGE),
          now);
    }
    if (!anyway && to != seen) {
      askOfOpenSteps(context, to, List.of(round));
    }
    List<Change> changes = stage(context, round, to);
    history.note(
        context,
        Right.WORK,
        "%s moved from %s to %s.".formatted(round.reference(), seen.label(), to.label()),
        changes);
    return to;
  }

  /** A stage in which nothing is left to do asks for the steps that are; once for all articles. */
  void askOfOpenSteps(SiteContext context, Stage to, List<Round> rounds) {
    if (to.phase() != Phase.SET) {
      return;
    }
    List<PlannedRound> open =
        looking.planned(context, rounds).stream()
            .filter(planned -> planned.round().stage() != to && planned.plan().isOpen())
            .toList();
    if (open.size() == 1) {
      Round one = open.get(0).round();
      throw new AskException(
          "%s still has steps to do. It counts as in hand until they are done."
              .formatted(one.reference()),
          open.get(0).openSteps(),
          "Move to " + to.label() + " anyway");
    }
    if (!open.isEmpty()) {
      throw new AskException(
          "%s still have steps to do. They count as in hand until those are done."
              .formatted(Counted.of(open.size(), "article")),
          open.stream()
              .map(p -> p.round().reference() + ": " + String.join(", ", p.openSteps()))
              .toList(),
          "Move to " + to.label() + " anyway");
    }
  }

  /** Without an entry of its own; none when nothing changes. */
  List<Change> stage(SiteContext context, Round round, Stage to) {
    if (!Stage.IN_WORK.contains(to) || !Stage.IN_WORK.contains(round.stage())) {
      throw new RefusedException(
          "%s is %s. Publishing takes an article live, and only a refresh takes it on from there."
              .formatted(round.reference(), round.stage().label()));
    }
    if (to == Stage.READY || round.stage() == Stage.READY) {
      context.require(Right.EDIT);
    }
    if (to == round.stage()) {
      return List.of();
    }
    if (articles.setStage(round.id(), round.stage(), to) == 0) {
      throw new RefusedException("Somebody just moved " + round.reference() + ".");
    }
    articles.insertMove(round.id(), round.stage(), to, context.personId());
    notices.handedOver(context, round, to);
    return List.of(
        Change.of(
            Thing.ARTICLE,
            round.article().number(),
            STAGE,
            round.stage().label(),
            to.label(),
            round.stage(),
            to));
  }

  /** Writes down that a round went live; without an entry of its own. */
  public Change wentLive(SiteContext context, Round round) {
    articles.insertMove(round.id(), Stage.READY, Stage.LIVE, context.personId());
    return Change.lasting(
        Thing.ARTICLE, round.article().number(), STAGE, Stage.READY.label(), Stage.LIVE.label());
  }

  /**
   * Ticks a step off, or takes the tick away. Its due date stays as it is at that moment. A writer
   * ticks their own steps only.
   */
  @Transactional
  public void tick(SiteContext context, int number, String key, boolean done) {
    PlannedRound planned = looking.page(context, number, null).planned();
    Round round = planned.round();
    StepRow row =
        planned.steps().stream()
            .filter(s -> s.key().equals(key))
            .findFirst()
            .orElseThrow(() -> new NotFoundException("step", key));
    requireStep(context, round, row);
    if (done == (row.doneOn() != null)) {
      return;
    }
    StepTick after = StepTick.open(key);
    if (done) {
      PlannedStep step = planned.plan().steps().get(planned.steps().indexOf(row));
      after = new StepTick(key, context.today(), context.personId(), step.due());
      steps.tick(round.id(), key, after.doneOn(), after.doneBy(), after.due());
    } else {
      steps.untick(round.id(), key);
    }
    String sentence = done ? "“%s” of %s is done." : "“%s” of %s is open again.";
    history.note(
        context,
        Right.WORK,
        sentence.formatted(row.name(), round.reference()),
        Change.of(
            Thing.ARTICLE,
            number,
            STEP + row.name(),
            done ? "open" : "done",
            done ? "done" : "open",
            StepTick.before(row),
            after));
  }

  private static void requireStep(SiteContext context, Round round, StepRow step) {
    boolean theirs = Objects.equals(round.person(step.role()), context.personId());
    if (!theirs) {
      context.require(Right.EDIT);
    }
  }

  /**
   * Who has no right to edit may work on articles on which they are named.
   *
   * @throws ForbiddenException when the person may not work on this article
   */
  public static void requireWork(SiteContext context, Round round) {
    if (!round.isOf(context.personId()) && !context.may(Right.EDIT)) {
      throw new ForbiddenException(
          "You are not named on %s. Writers work on their own articles; ask an editor."
              .formatted(round.reference()));
    }
  }

  /** Gives the round another type; what is done stays done where the new run-up has the step. */
  @Transactional
  public void setType(SiteContext context, int number, long typeId) {
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    ArticleType type = looking.type(context, round.kind(), typeId);
    history.note(
        context,
        Right.EDIT,
        "%s is a %s now.".formatted(round.reference(), type.name().toLowerCase(Locale.ROOT)),
        type(round, type));
  }

  /** Without an entry of its own; none when nothing changes. */
  List<Change> type(Round round, ArticleType type) {
    if (round.typeId() == type.id()) {
      return List.of();
    }
    if (round.isLive()) {
      throw new RefusedException(round.reference() + " is live; its type stays.");
    }
    List<StepTick> done = StepTick.done(steps.of(List.of(round.id())));
    articles.setType(round.id(), type.id());
    steps.retype(round.id(), type.id());
    return List.of(
        Change.of(
            Thing.ARTICLE,
            round.article().number(),
            "Type",
            round.typeName(),
            type.name(),
            new KeptType(round.typeId(), done),
            new KeptType(type.id(), List.of())));
  }

  /** Puts an article out of sight, or brings it back. */
  @Transactional
  public void archive(SiteContext context, int number, boolean away) {
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    history.note(
        context,
        Right.EDIT,
        round.reference() + (away ? " is in the archive." : " is back from the archive."),
        archive(round, away));
  }

  /** Without an entry of its own; none when nothing changes. */
  List<Change> archive(Round round, boolean away) {
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
