package osmerin.app.desk;

import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.SignOffs;
import osmerin.app.desk.Desk.Ask;
import osmerin.app.desk.Desk.DeskStep;
import osmerin.app.desk.Desk.Waiting;
import osmerin.app.history.Entry;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.pitches.PitchService;
import osmerin.app.plan.Month;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StageList;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.team.TeamService;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.article.Stages;
import osmerin.core.article.Standing;
import osmerin.core.runup.PlannedStep;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;
import osmerin.core.workday.WorkCalendar;

/** Gathers a person's desk. */
@Service
public class DeskService {
  private static final int NEXT_SHOWN = 5;
  private static final int LEFT_OFF_SHOWN = 5;
  private static final int NEWS_SHOWN = 12;

  /** Entries of the person that are looked through for what they worked on. */
  private static final int LOOKED_THROUGH = 60;

  private final ArticleService articles;
  private final SignOffs briefs;
  private final PitchService pitches;
  private final StageList stages;
  private final SiteService sites;
  private final TeamService team;
  private final History history;

  DeskService(
      ArticleService articles,
      SignOffs briefs,
      PitchService pitches,
      StageList stages,
      SiteService sites,
      TeamService team,
      History history) {
    this.stages = stages;
    this.sites = sites;
    this.team = team;
    this.articles = articles;
    this.briefs = briefs;
    this.pitches = pitches;
    this.history = history;
  }

  /**
   * Gathers the desk.
   *
   * @param month the month in hand
   */
  @Transactional(readOnly = true)
  public Desk desk(SiteContext context, Month month) {
    List<PlannedRound> open = articles.open(context);
    List<PlannedRound> withSteps = new ArrayList<>(open);
    withSteps.addAll(articles.withFollowUps(context));
    boolean alone = team.isAlone(context.siteId());
    List<DeskStep> steps = steps(withSteps, context.today(), isOf(context.personId(), alone));
    List<DeskStep> nobodys = alone ? List.of() : nobodys(context, withSteps);
    List<DeskStep> today = steps.stream().filter(s -> !s.due().isAfter(context.today())).toList();
    List<DeskStep> next =
        steps.stream().filter(s -> s.due().isAfter(context.today())).limit(NEXT_SHOWN).toList();
    return new Desk(
        today,
        next,
        nobodys,
        waiting(context, open),
        onHold(context, open),
        leftOff(context, open),
        month,
        daysLeft(context, month.month()),
        news(context));
  }

  private int daysLeft(SiteContext context, YearMonth month) {
    WorkCalendar calendar = sites.calendar(context.site());
    return calendar.in(month) - calendar.inBefore(month, context.today());
  }

  /** On a site with one person everything is theirs, named or not. */
  private static Predicate<List<Long>> isOf(long personId, boolean alone) {
    return holders -> holders.isEmpty() ? alone : holders.contains(personId);
  }

  private static List<DeskStep> nobodys(SiteContext context, List<PlannedRound> open) {
    return steps(open, context.today(), List::isEmpty).stream()
        .filter(DeskStep::canStart)
        .limit(NEXT_SHOWN)
        .toList();
  }

  /** Dated steps in hand of whoever is meant, the earliest due first. */
  private static List<DeskStep> steps(
      List<PlannedRound> open, LocalDate today, Predicate<List<Long>> whose) {
    List<DeskStep> steps = new ArrayList<>();
    for (PlannedRound planned : open) {
      for (int i = 0; i < planned.steps().size(); i++) {
        StepRow row = planned.steps().get(i);
        PlannedStep step = planned.plan().steps().get(i);
        boolean meant = whose.test(planned.round().holders(row));
        if (meant && !step.done() && planned.isInHand(row) && step.due() != null) {
          steps.add(step(planned, row, step.due(), today));
        }
      }
    }
    steps.sort(
        Comparator.comparing(DeskStep::due).thenComparing(s -> s.round().article().number()));
    return steps;
  }

  private static DeskStep step(PlannedRound planned, StepRow row, LocalDate due, LocalDate today) {
    String waitsFor =
        planned.waitsFor(row).stream().map(StepRow::name).collect(Collectors.joining(", "));
    return new DeskStep(
        planned.round(), row.key(), row.name(), row.estimate(), due, due.isBefore(today), waitsFor);
  }

  /** What others wait for, of the rounds in work and of pitches. */
  List<Waiting> waiting(SiteContext context, List<PlannedRound> open) {
    List<Waiting> waiting = new ArrayList<>();
    addUnpublished(context, open, waiting);
    addHolds(context, open, waiting);
    Stages all = stages.of(context.siteId());
    addSignOffs(context, open, all.at(StageAct.SIGN_OFF), waiting);
    addReviews(context, open, all, waiting);
    long pitched = pitches.countOpen(context);
    if (context.may(Right.COMMISSION) && pitched > 0) {
      waiting.add(
          new Waiting(
              Ask.COMMISSION,
              null,
              Counted.of(pitched, "open pitch", "open pitches"),
              context.base() + "/pitches",
              null,
              false));
    }
    return waiting;
  }

  /** Failed, or set and past its day: for whoever is named, and for owners if nobody is. */
  private static void addUnpublished(
      SiteContext context, List<PlannedRound> open, List<Waiting> waiting) {
    for (PlannedRound planned : open) {
      Round round = planned.round();
      boolean stuck =
          round.publication().failure() != null
              || planned.standing().state() == Standing.State.NOT_PUBLISHED;
      if (stuck && context.may(Right.EDIT) && concerns(context, round)) {
        waiting.add(
            waiting(context, Ask.PUBLISH, round, "").with(round.publication().failure(), true));
      }
    }
  }

  /** On hold, and its day has come: for whoever can free it, else for editors it concerns. */
  private static void addHolds(
      SiteContext context, List<PlannedRound> open, List<Waiting> waiting) {
    for (PlannedRound planned : open) {
      Round round = planned.round();
      if (round.isOnHold() && round.hold().isAskedAbout(context.today())) {
        boolean mine =
            round.hold().freeBy() == null
                ? context.may(Right.EDIT) && concerns(context, round)
                : freesIt(context, round);
        if (mine) {
          waiting.add(
              waiting(context, Ask.STILL_HELD, round, "").with(round.hold().reason(), false));
        }
      }
    }
  }

  /** What is on hold and concerns the person, the oldest first. */
  private static List<PlannedRound> onHold(SiteContext context, List<PlannedRound> open) {
    return open.stream()
        .filter(p -> p.round().isOnHold())
        .filter(p -> concerns(context, p.round()) || freesIt(context, p.round()))
        .sorted(Comparator.comparing(p -> p.round().hold().since()))
        .toList();
  }

  private static boolean freesIt(SiteContext context, Round round) {
    return Objects.equals(round.hold().freeBy(), context.personId());
  }

  private static boolean concerns(SiteContext context, Round round) {
    boolean nobody =
        round.article().people(StepRole.STRATEGIST).isEmpty()
            && round.article().people(StepRole.EDITOR).isEmpty();
    return round.isOf(context.personId()) || nobody && context.may(Right.MANAGE);
  }

  private void addSignOffs(
      SiteContext context, List<PlannedRound> open, Stage signedOff, List<Waiting> waiting) {
    List<Round> mine =
        open.stream()
            .map(PlannedRound::round)
            .filter(round -> round.stage().isBefore(signedOff))
            .filter(round -> round.isOf(context.personId()))
            .toList();
    Set<Long> unsigned = briefs.waitingForSignOff(mine.stream().map(Round::id).toList());
    mine.stream()
        .filter(round -> unsigned.contains(round.id()) && briefs.asks(context, round))
        .forEach(r -> waiting.add(waiting(context, Ask.SIGN_OFF, r, "/brief")));
  }

  private static void addReviews(
      SiteContext context, List<PlannedRound> open, Stages all, List<Waiting> waiting) {
    edited(context, open, all::isReview)
        .forEach(r -> waiting.add(waiting(context, Ask.REVIEW, r, "/draft")));
  }

  private static List<Round> edited(
      SiteContext context, List<PlannedRound> open, Predicate<Stage> where) {
    return open.stream()
        .map(PlannedRound::round)
        .filter(r -> where.test(r.stage()))
        .filter(r -> r.article().people(StepRole.EDITOR).contains(context.personId()))
        .toList();
  }

  private static Waiting waiting(SiteContext context, Ask ask, Round round, String place) {
    return new Waiting(
        ask,
        round,
        round.reference() + " " + round.title(),
        context.base() + "/articles/" + round.reference() + place,
        null,
        false);
  }

  private List<Round> leftOff(SiteContext context, List<PlannedRound> open) {
    Set<String> keys = new LinkedHashSet<>();
    for (Entry entry :
        history.entries(context, new Asked(null, null, context.personId()), 0, LOOKED_THROUGH)) {
      entry.changes().stream()
          .filter(c -> c.thing() == Thing.ARTICLE)
          .forEach(c -> keys.add(c.key()));
    }
    return keys.stream()
        .flatMap(
            key ->
                open.stream()
                    .map(PlannedRound::round)
                    .filter(r -> String.valueOf(r.article().number()).equals(key)))
        .limit(LEFT_OFF_SHOWN)
        .toList();
  }

  private List<Entry> news(SiteContext context) {
    Instant since = context.today().minusDays(1).atStartOfDay(context.site().zoneId()).toInstant();
    return history.since(context, since, NEWS_SHOWN * 4).stream()
        .filter(e -> !Objects.equals(e.personId(), context.personId()))
        .limit(NEWS_SHOWN)
        .toList();
  }
}
