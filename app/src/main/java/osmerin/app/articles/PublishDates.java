package osmerin.app.articles;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.DateFollowers;
import osmerin.app.rounds.Impossible;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Planning;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.RoundPlanner;
import osmerin.app.rounds.Setback;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.BackPlan;
import osmerin.core.text.Counted;

/** The publish date of an article: the calendar, the article and many at once set it here. */
@Service
public class PublishDates {
  static final String PUBLISH_DATE = "Publish date";

  /** The field of an article that holds the hour, in history. */
  public static final String PUBLISH_HOUR = "Publish hour";

  private final ArticleMapper articles;
  private final ArticleService looking;
  private final Planning planning;
  private final History history;
  private final ArticleNotices notices;
  private final ObjectProvider<DateFollowers> followers;

  /**
   * @param followers asked for when needed, since they set dates in turn
   */
  PublishDates(
      ArticleMapper articles,
      ArticleService looking,
      Planning planning,
      History history,
      ArticleNotices notices,
      ObjectProvider<DateFollowers> followers) {
    this.followers = followers;
    this.articles = articles;
    this.looking = looking;
    this.planning = planning;
    this.history = history;
    this.notices = notices;
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
          new ConflictException.Field(round.reference(), PUBLISH_DATE),
          words(round.publishDate()),
          words(to),
          history.lastBy(context, Thing.ARTICLE, number, PUBLISH_DATE),
          now);
    }
    if (to != null && !allTheSame) {
      askOfFollowers(context, round, to);
    }
    List<Change> changes = publishDate(context, round, to);
    String sentence =
        to == null
            ? round.reference() + " has no date now."
            : "%s moved to %s.".formatted(round.reference(), In.day(to));
    history.note(context, Right.EDIT, sentence, changes);
    return new DateChange.Done(round, from, to);
  }

  private void askOfFollowers(SiteContext context, Round round, LocalDate to) {
    List<String> setbacks =
        followers.stream().flatMap(f -> f.setbacks(context, round, to).stream()).toList();
    if (!setbacks.isEmpty()) {
      throw AskException.setting(
          "Another article's date follows %s and would move with it. Nothing was changed yet."
              .formatted(round.reference()),
          setbacks,
          "Move it anyway",
          "allTheSame");
    }
  }

  /**
   * Asks about the articles that become late or impossible, or clash with a pinned day, when their
   * dates move by so many days.
   *
   * @throws AskException when there are any
   */
  public void askOfSetbacks(SiteContext context, List<Round> rounds, int days) {
    RoundPlanner planner = planning.planner(context.site());
    List<String> words = new ArrayList<>();
    int worse = 0;
    for (PlannedRound now : looking.planned(context, rounds)) {
      LocalDate date = now.round().publishDate();
      if (date != null && !now.round().isLive()) {
        BackPlan then = planner.backPlan(now.round(), now.steps(), date.plusDays(days));
        List<String> setbacks = new ArrayList<>(Setback.of(now, then));
        followers.stream()
            .forEach(f -> setbacks.addAll(f.setbacks(context, now.round(), date.plusDays(days))));
        words.addAll(setbacks);
        worse += setbacks.isEmpty() ? 0 : 1;
      }
    }
    if (worse > 0) {
      throw new AskException(
          "%s would have date problems. Nothing was changed yet."
              .formatted(Counted.of(worse, "article")),
          words,
          "Move them anyway");
    }
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

  /** Of rounds that are to be moved those that don't move along with another of them anyway. */
  public List<Round> leading(List<Round> rounds) {
    List<Long> ids = rounds.stream().map(Round::id).toList();
    return rounds.stream()
        .filter(round -> followers.stream().noneMatch(f -> f.hangsOn(round, ids)))
        .toList();
  }

  /** Sets it by hand, without an entry of its own; none when nothing changes. */
  public List<Change> publishDate(SiteContext context, Round round, @Nullable LocalDate to) {
    List<Change> changes = new ArrayList<>(follow(context, round, to));
    if (!changes.isEmpty()) {
      followers.stream().forEach(f -> changes.addAll(f.setByHand(round)));
    }
    return changes;
  }

  /** Sets it since another article moved; what hangs on it moves in turn. */
  public List<Change> follow(SiteContext context, Round round, @Nullable LocalDate to) {
    refuseIfLive(round);
    LocalDate before = round.publishDate();
    if (Objects.equals(before, to)) {
      return List.of();
    }
    if (articles.setPublishDate(round.id(), before, to) == 0) {
      throw new RefusedException("Somebody just set the date of " + round.reference() + ".");
    }
    notices.dateMoved(context, round, to);
    List<Change> changes = new ArrayList<>();
    changes.add(
        Change.of(Thing.ARTICLE, round.article().number(), PUBLISH_DATE, words(before), words(to))
            .keeping(before, to));
    if (to != null) {
      changes.addAll(moved(context, round, to));
    } else if (round.publication().hour() != null) {
      changes.add(withoutHour(round));
    }
    return changes;
  }

  /** An hour is one of a day: without the day it is gone, and comes back with it. */
  private static Change withoutHour(Round round) {
    LocalTime hour = round.publication().hour();
    return Change.of(
            Thing.ARTICLE, round.article().number(), PUBLISH_HOUR, hour.toString(), "by hand")
        .keeping(hour, null);
  }

  /** What hangs on a round moves, since the round has another day. */
  List<Change> moved(SiteContext context, Round round, LocalDate day) {
    return followers.stream().flatMap(f -> f.moved(context, round, day).stream()).toList();
  }

  static String words(@Nullable LocalDate date) {
    return date == null ? "no date" : In.dayAndYear(date);
  }
}
