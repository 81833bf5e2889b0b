package osmerin.app.follows;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.PublishDates;
import osmerin.app.articles.RoundReversal;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.DateFollowers;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Planning;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.Setback;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.core.article.Phase;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.workday.DayAfter;
import osmerin.core.workday.DayAfterText;

/**
 * Dates that hang on the day of another article: they follow the day it went live, and before that
 * its publish date. Where it has no day, or is archived or retired, they stay as they are.
 */
@Service
public class Follows implements RoundReversal, DateFollowers {
  private static final String FIELD = "Date follows";

  private final FollowMapper follows;
  private final ArticleService articles;
  private final PublishDates dates;
  private final Planning planning;
  private final SiteService sites;
  private final History history;

  Follows(
      FollowMapper follows,
      ArticleService articles,
      PublishDates dates,
      Planning planning,
      SiteService sites,
      History history) {
    this.follows = follows;
    this.articles = articles;
    this.dates = dates;
    this.planning = planning;
    this.sites = sites;
    this.history = history;
  }

  /**
   * Lets the date of an article hang on another.
   *
   * @param typed "3 working days after MP-0064"
   * @param anyway although it becomes late or impossible by it
   * @throws RefusedException when it can't be read, would go round in a circle, or the other is
   *     none of this site
   */
  @Transactional
  public void set(SiteContext context, int number, String typed, boolean anyway) {
    context.require(Right.EDIT);
    follows.lock(context.siteId());
    Round round = articles.get(context, number);
    DayAfterText.Typed read = read(typed);
    Round other = other(context, read.other());
    if (round.isLive()) {
      throw new RefusedException(round.reference() + " is live; its date stays.");
    }
    if (other.id() == round.id() || follows.hangsOn(other.id(), round.id())) {
      throw new RefusedException(
          "%s already follows %s, so the two would go in a circle."
              .formatted(other.reference(), round.reference()));
    }
    Follow wanted = Follow.of(round.id(), other.id(), read.day());
    Optional<Follow> before = follows.of(round.id());
    if (before.equals(Optional.of(wanted))) {
      return;
    }
    LocalDate day = day(context, read.day(), other);
    if (day != null && !anyway) {
      ask(context, round, day);
    }
    follows.put(wanted);
    List<Change> changes = new ArrayList<>();
    changes.add(change(context, round, before.orElse(null), wanted));
    if (day != null) {
      changes.addAll(dates.follow(context, round, day));
    }
    history.note(
        context,
        Right.EDIT,
        "%s goes live %s.".formatted(round.reference(), words(wanted, other)),
        changes);
  }

  private static DayAfterText.Typed read(String typed) {
    try {
      return DayAfterText.read(typed).orElseThrow(() -> new RefusedException(DayAfterText.HINT));
    } catch (IllegalArgumentException e) {
      throw new RefusedException(e.getMessage());
    }
  }

  private Round other(SiteContext context, String typed) {
    ReferenceNumber reference =
        ReferenceNumber.read(typed).orElseThrow(() -> new RefusedException(DayAfterText.HINT));
    if (!reference.prefix().equals(context.site().prefix())) {
      throw new RefusedException(
          "%s is not an article of this site; its own begin with %s."
              .formatted(reference, context.site().prefix()));
    }
    return articles.get(context, reference.number());
  }

  private void ask(SiteContext context, Round round, LocalDate day) {
    List<String> worse = new ArrayList<>(setback(context, round, day));
    worse.addAll(setbacks(context, round, day));
    if (!worse.isEmpty()) {
      throw new AskException(
          "Nothing was changed yet: articles would have date problems.", worse, "Set it anyway");
    }
  }

  private List<String> setback(SiteContext context, Round round, LocalDate day) {
    PlannedRound now = articles.planned(context, round.article().number());
    return Setback.of(
        now, planning.planner(context.site()).backPlan(now.round(), now.steps(), day));
  }

  /** Lets a date hang on nothing any more; it stays as it is. */
  @Transactional
  public void letGo(SiteContext context, int number) {
    context.require(Right.EDIT);
    Round round = articles.get(context, number);
    List<Change> changes = setByHand(round);
    if (!changes.isEmpty()) {
      history.note(
          context,
          Right.EDIT,
          "The date of %s no longer follows another.".formatted(round.reference()),
          changes);
    }
  }

  /** The day that follows; null while the other has none or does not count. */
  private @Nullable LocalDate day(SiteContext context, DayAfter day, Round other) {
    return why(other) != null || other.day() == null
        ? null
        : day.of(other.day(), sites.calendar(context.site()));
  }

  /** Why a date that hangs on the round stays; null when it does not. */
  static @Nullable String why(Round other) {
    if (other.isArchived()) {
      return "is archived";
    }
    if (other.stage().phase() == Phase.ENDED) {
      return "is retired";
    }
    return other.day() == null ? "has no date" : null;
  }

  /** A round that hangs on another, and where it would come to lie. */
  private record Hanging(Round round, LocalDate to) {}

  private List<Hanging> hanging(SiteContext context, Round round, LocalDate day) {
    return follows.on(round.id()).stream()
        .map(
            follow ->
                new Hanging(
                    round(context, follow.roundId()),
                    follow.day().of(day, sites.calendar(context.site()))))
        .filter(hanging -> !hanging.round().isLive() && !hanging.round().isArchived())
        .filter(hanging -> !hanging.to().equals(hanging.round().publishDate()))
        .toList();
  }

  @Override
  public List<Change> moved(SiteContext context, Round round, LocalDate day) {
    return hanging(context, round, day).stream()
        .flatMap(hanging -> dates.follow(context, hanging.round(), hanging.to()).stream())
        .toList();
  }

  @Override
  public List<String> setbacks(SiteContext context, Round round, LocalDate day) {
    List<String> words = new ArrayList<>();
    for (Hanging hanging : hanging(context, round, day)) {
      words.addAll(setback(context, hanging.round(), hanging.to()));
      words.addAll(setbacks(context, hanging.round(), hanging.to()));
    }
    return words;
  }

  @Override
  public List<String> previewed(SiteContext context, Round round, LocalDate day) {
    List<String> words = new ArrayList<>();
    for (Hanging hanging : hanging(context, round, day)) {
      words.add("%s moves to %s".formatted(hanging.round().reference(), In.day(hanging.to())));
      words.addAll(previewed(context, hanging.round(), hanging.to()));
    }
    return words;
  }

  @Override
  public boolean hangsOn(Round round, Collection<Long> others) {
    return others.stream().anyMatch(other -> follows.hangsOn(round.id(), other));
  }

  @Override
  public List<Change> setByHand(Round round) {
    Follow before = follows.of(round.id()).orElse(null);
    if (before == null) {
      return List.of();
    }
    follows.remove(round.id());
    return List.of(
        Change.of(
                Thing.ARTICLE,
                round.article().number(),
                FIELD,
                DayAfterText.of(before.day()) + " another",
                null)
            .keeping(KeptFollow.of(before), null));
  }

  private Change change(SiteContext context, Round round, @Nullable Follow before, Follow after) {
    return Change.of(
            Thing.ARTICLE,
            round.article().number(),
            FIELD,
            before == null ? null : words(before, round(context, before.otherRoundId())),
            words(after, round(context, after.otherRoundId())))
        .keeping(before == null ? null : KeptFollow.of(before), KeptFollow.of(after));
  }

  private Round round(SiteContext context, long roundId) {
    return articles.byId(context, roundId);
  }

  private static String words(Follow follow, Round other) {
    return DayAfterText.of(follow.day()) + " " + other.reference();
  }

  @Override
  public boolean knows(String field) {
    return field.equals(FIELD);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    Follow now = follows.of(round.id()).orElse(null);
    KeptFollow to = change.to(KeptFollow.class);
    if (!Objects.equals(now, to == null ? null : to.of(round.id()))) {
      return false;
    }
    KeptFollow from = change.from(KeptFollow.class);
    if (from == null) {
      follows.remove(round.id());
      return true;
    }
    follows.lock(context.siteId());
    // Since then the other may follow this one, or its round may have been withdrawn.
    if (follows.hangsOn(from.otherRoundId(), round.id()) || !follows.isThere(from.otherRoundId())) {
      return false;
    }
    follows.put(from.of(round.id()));
    return true;
  }
}
