package osmerin.app.articles;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Lacking;
import osmerin.app.rounds.OnEntering;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.runups.StageList;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.article.Stages;
import osmerin.core.runup.Completion;

/** The stages an article goes through by hand. */
@Service
public class StageMoves {
  static final String STAGE = "Stage";

  private final ArticleMapper articles;
  private final ArticleService looking;
  private final ArticleEdits edits;
  private final PublishDates dates;
  private final History history;
  private final StageList stages;
  private final List<OnEntering> entering;
  private final Lacking lacking;

  StageMoves(
      ArticleMapper articles,
      ArticleService looking,
      ArticleEdits edits,
      PublishDates dates,
      History history,
      StageList stages,
      List<OnEntering> entering,
      Lacking lacking) {
    this.lacking = lacking;
    this.entering = entering;
    this.stages = stages;
    this.edits = edits;
    this.dates = dates;
    this.articles = articles;
    this.looking = looking;
    this.history = history;
  }

  /**
   * Moves an article to another stage of the work. Going live is publishing, not a move; only
   * editors say that an article is set, or undo that.
   *
   * @param stage id of the stage
   * @param seen id of the stage the person saw
   * @param anyway move it though steps are to be done that the stage takes for done
   * @throws AskException when there are such steps and it is not to be moved anyway
   */
  @Transactional
  public Stage move(SiteContext context, int number, long stage, long seen, boolean anyway) {
    Round round = looking.get(context, number);
    WorkRights.requireWork(context, round);
    Stage to = stages.get(context.siteId(), stage);
    if (round.stage().id() != seen) {
      Map<String, String> now = Map.of("seen", String.valueOf(round.stage().id()));
      throw new ConflictException(
          new ConflictException.Field(round.reference(), STAGE),
          round.stage().label(),
          to.label(),
          history.lastBy(context, Thing.ARTICLE, number, STAGE),
          now);
    }
    if (!anyway && stage != seen) {
      askOfLacks(context, to, List.of(round));
    }
    List<Change> changes = stage(context, round, to);
    history.note(
        context,
        Right.WORK,
        "%s moved from %s to %s.".formatted(round.reference(), round.stage().label(), to.label()),
        changes);
    return to;
  }

  /**
   * Asks once for all articles that lack what the stage takes for granted.
   *
   * @throws AskException when one does
   */
  public void askOfLacks(SiteContext context, Stage to, List<Round> rounds) {
    lacking.ask(stages.of(context.siteId()), to, looking.planned(context, rounds));
  }

  /** Moves an article on to where an act leads, if it is before that; without an entry. */
  public List<Change> reach(SiteContext context, Round round, StageAct act) {
    Stage to = stages.of(context.siteId()).at(act);
    return round.stage().isBefore(to) ? stage(context, round, to) : List.of();
  }

  /** Without an entry of its own; none when nothing changes. */
  public List<Change> stage(SiteContext context, Round round, Stage to) {
    return stage(context, stages.of(context.siteId()), round, to);
  }

  /**
   * The same for many, which read the stages once.
   *
   * @param all the stages of the site
   */
  public List<Change> stage(SiteContext context, Stages all, Round round, Stage to) {
    if (all.beside(round.stage()).stream().noneMatch(to::is)) {
      throw new RefusedException(
          "%s is %s. Publishing takes an article live, and only a refresh takes it on from there."
              .formatted(round.reference(), round.stage().label()));
    }
    if (to.isSet() || round.stage().isSet()) {
      context.require(Right.EDIT);
    }
    if (to.is(round.stage())) {
      return List.of();
    }
    put(context, round, to);
    List<Change> changes = new ArrayList<>(List.of(moved(round, to)));
    // Who moves an article on to where a handed in draft comes, or past that, hands it in.
    if (all.isPassed(StageAct.HAND_IN, round.stage(), to)) {
      changes.addAll(edits.complete(context, round, Completion.DRAFT_HANDED_IN));
    }
    entering.forEach(then -> changes.addAll(then.entered(context, round, all, to)));
    return changes;
  }

  /** Articles whose current round is at the stage, archived ones among them. */
  public List<Round> at(SiteContext context, Stage stage) {
    return articles.atStage(context.siteId(), stage);
  }

  /** By the id of a stage how many articles are at it; none is missing there. */
  public Map<Long, Long> countByStage(SiteContext context) {
    return articles.countByStage(context.siteId()).stream()
        .collect(Collectors.toMap(AtStage::stageId, AtStage::articles));
  }

  /** How many articles are at a stage. */
  record AtStage(long stageId, long articles) {}

  /**
   * Puts articles at another stage because theirs is to go: nobody worked on them, so nothing else
   * happens. Without an entry of its own.
   */
  public List<Change> carry(SiteContext context, List<Round> rounds, Stage to) {
    return rounds.stream()
        .map(
            round -> {
              put(context, round, to);
              return moved(round, to);
            })
        .toList();
  }

  private void put(SiteContext context, Round round, Stage to) {
    if (articles.setStage(round.id(), round.stage(), to) == 0) {
      throw new RefusedException("Somebody just moved " + round.reference() + ".");
    }
    articles.insertMove(round.id(), round.stage(), to, context.personId());
  }

  private static Change moved(Round round, Stage to) {
    return Change.of(
            Thing.ARTICLE, round.article().number(), STAGE, round.stage().label(), to.label())
        .keeping(round.stage().id(), to.id());
  }

  /** The stages from which articles are published, in words: "Ready or Booked". */
  public String whereSet(SiteContext context) {
    return stages.of(context.siteId()).list().stream()
        .filter(Stage::isSet)
        .map(Stage::label)
        .collect(Collectors.joining(" or "));
  }

  /** Where publishing leads on this site. */
  public Stage live(SiteContext context) {
    return stages.of(context.siteId()).at(StageAct.PUBLISHING);
  }

  /** Writes down that a round went live, which nobody takes back; without an entry of its own. */
  public List<Change> wentLive(SiteContext context, Round round, LocalDate day) {
    Stages all = stages.of(context.siteId());
    Stage live = all.at(StageAct.PUBLISHING);
    articles.insertMove(round.id(), round.stage(), live, context.personId());
    int number = round.article().number();
    List<Change> changes = new ArrayList<>();
    changes.add(Change.lasting(Thing.ARTICLE, number, STAGE, round.stage().label(), live.label()));
    List<Change> besides = new ArrayList<>(edits.complete(context, round, Completion.PUBLISHED));
    entering.forEach(then -> besides.addAll(then.entered(context, round, all, live)));
    besides.stream()
        .map(c -> Change.lasting(c.thing(), number, c.field(), c.before(), c.after()))
        .forEach(changes::add);
    changes.addAll(dates.moved(context, round, day));
    return changes;
  }
}
