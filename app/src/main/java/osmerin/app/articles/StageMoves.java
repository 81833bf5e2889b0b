package osmerin.app.articles;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Phase;
import osmerin.core.article.Stage;
import osmerin.core.runup.Completion;
import osmerin.core.text.Counted;

/** The stages an article goes through by hand. */
@Service
public class StageMoves {
  static final String STAGE = "Stage";

  private final ArticleMapper articles;
  private final ArticleService looking;
  private final ArticleEdits edits;
  private final PublishDates dates;
  private final History history;
  private final ArticleNotices notices;

  StageMoves(
      ArticleMapper articles,
      ArticleService looking,
      ArticleEdits edits,
      PublishDates dates,
      History history,
      ArticleNotices notices) {
    this.edits = edits;
    this.dates = dates;
    this.articles = articles;
    this.looking = looking;
    this.history = history;
    this.notices = notices;
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
    WorkRights.requireWork(context, round);
    if (round.stage() != seen) {
      Map<String, String> now = Map.of("seen", round.stage().name());
      throw new ConflictException(
          round.reference(),
          STAGE,
          round.stage().label(),
          to.label(),
          history.lastBy(context, Thing.ARTICLE, number, STAGE),
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
  public void askOfOpenSteps(SiteContext context, Stage to, List<Round> rounds) {
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

  /** Moves an article on to a stage it is still before; without an entry of its own. */
  public List<Change> reach(SiteContext context, Round round, Stage to) {
    return round.stage().compareTo(to) < 0 ? stage(context, round, to) : List.of();
  }

  /** Without an entry of its own; none when nothing changes. */
  public List<Change> stage(SiteContext context, Round round, Stage to) {
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
    List<Change> changes = new ArrayList<>();
    changes.add(
        Change.of(
            Thing.ARTICLE,
            round.article().number(),
            STAGE,
            round.stage().label(),
            to.label(),
            round.stage(),
            to));
    if (isHandedIn(round.stage(), to)) {
      changes.addAll(edits.complete(context, round, Completion.DRAFT_HANDED_IN));
    }
    return changes;
  }

  /** Who moves an article on to editing, or past it, hands its draft in. */
  private static boolean isHandedIn(Stage from, Stage to) {
    return from.compareTo(Stage.EDITING) < 0 && to.compareTo(Stage.EDITING) >= 0;
  }

  /** Writes down that a round went live, which nobody takes back; without an entry of its own. */
  public List<Change> wentLive(SiteContext context, Round round, LocalDate day) {
    articles.insertMove(round.id(), Stage.READY, Stage.LIVE, context.personId());
    int number = round.article().number();
    List<Change> changes = new ArrayList<>();
    changes.add(
        Change.lasting(Thing.ARTICLE, number, STAGE, Stage.READY.label(), Stage.LIVE.label()));
    edits.complete(context, round, Completion.PUBLISHED).stream()
        .map(c -> Change.lasting(c.thing(), number, c.field(), c.before(), c.after()))
        .forEach(changes::add);
    changes.addAll(dates.moved(context, round, day));
    return changes;
  }
}
