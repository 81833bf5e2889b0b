package osmerin.app.publishing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.PublishDates;
import osmerin.app.articles.StageMoves;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.WebAddress;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;

/** What is written down of publishing: the attempt, its outcome, and the hour set for it. */
@Service
public class Publishing {
  /** The field of an article that holds the hour, in history. */
  static final String HOUR = PublishDates.PUBLISH_HOUR;

  private final PublishingMapper rounds;
  private final ArticleService looking;
  private final StageMoves stageMoves;
  private final SiteService sites;
  private final History history;
  private final Clock clock;
  private final Duration brokenOff;

  /**
   * @param brokenOff a publishing that has not ended after so long was broken off, and may be begun
   *     again; longer than the host is waited for
   */
  Publishing(
      PublishingMapper rounds,
      ArticleService looking,
      StageMoves stageMoves,
      SiteService sites,
      History history,
      Clock clock,
      @Value("${osmerin.broken-off:1m}") Duration brokenOff) {
    this.rounds = rounds;
    this.looking = looking;
    this.stageMoves = stageMoves;
    this.sites = sites;
    this.history = history;
    this.clock = clock;
    this.brokenOff = brokenOff;
  }

  /**
   * A round whose hour has come.
   *
   * @param by who set the hour
   * @param tries how often it failed since
   */
  public record Due(
      long siteId, int number, long by, LocalDate publishDate, LocalTime publishHour, int tries) {}

  /**
   * Sets the hour at which a round is published by itself on its publish date, in the site's zone.
   *
   * @param seen the hour the person saw
   * @param hour null for by hand
   */
  @Transactional
  public void setHour(
      SiteContext context, int number, @Nullable LocalTime seen, @Nullable LocalTime hour) {
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    if (round.isLive()) {
      throw new RefusedException(round.reference() + " is live already.");
    }
    if (round.publishDate() == null && hour != null) {
      throw new RefusedException(
          round.reference() + " has no publish date yet. Set the day first, then the hour.");
    }
    if (hour != null && isPast(context, round.publishDate(), hour)) {
      throw new RefusedException(
          "%s at %s has passed. Publish %s now, or set a later hour."
              .formatted(In.day(round.publishDate()), hour, round.reference()));
    }
    if (!Objects.equals(round.publication().hour(), seen)
        || rounds.setPublishHour(round.id(), seen, hour, hour == null ? null : context.personId())
            == 0) {
      String now = round.publication().hour() == null ? "" : round.publication().hour().toString();
      throw new ConflictException(
          new ConflictException.Field(round.reference(), HOUR),
          words(round.publication().hour()),
          words(hour),
          history.lastBy(context, Thing.ARTICLE, number, HOUR),
          Map.of("seen", now));
    }
    if (!Objects.equals(seen, hour)) {
      String sentence =
          hour == null
              ? round.reference() + " is published by hand."
              : "%s publishes itself at %s.".formatted(round.reference(), hour);
      history.note(
          context,
          Right.EDIT,
          sentence,
          Change.of(Thing.ARTICLE, number, HOUR, words(seen), words(hour)).keeping(seen, hour));
    }
  }

  private boolean isPast(SiteContext context, LocalDate date, LocalTime hour) {
    return date.atTime(hour).atZone(context.site().zoneId()).toInstant().isBefore(clock.instant());
  }

  private static String words(@Nullable LocalTime hour) {
    return hour == null ? "by hand" : hour.toString();
  }

  /** Rounds that are set, whose hour has come and that may be tried now, those of all sites. */
  public List<Due> due(Duration pause, int mostTries) {
    Instant now = clock.instant();
    return rounds.due(now, now.minus(pause), mostTries);
  }

  /**
   * Claims the round for publishing.
   *
   * @throws RefusedException when it is not set, or somebody is publishing it at this moment
   */
  @Transactional
  public void begin(SiteContext context, Round round) {
    context.require(Right.EDIT);
    Instant now = clock.instant();
    if (rounds.begin(round.id(), now.minus(brokenOff), now) == 0) {
      throw new RefusedException(round.reference() + whyNot(context, round));
    }
  }

  /**
   * Whether it may be published at all, before anything is asked.
   *
   * @throws RefusedException when it is live, on hold or not set
   */
  void requireReady(SiteContext context, Round round) {
    if (round.isLive() || round.isOnHold() || !round.stage().isSet()) {
      throw new RefusedException(round.reference() + whyNot(context, round));
    }
  }

  private String whyNot(SiteContext context, Round round) {
    if (round.isLive()) {
      return " is live already.";
    }
    if (round.isOnHold()) {
      return " is on hold: %s. Free it first.".formatted(round.hold().reason());
    }
    return round.stage().isSet() ? " is being published at this moment." : notSet(context, round);
  }

  private String notSet(SiteContext context, Round round) {
    return " is at %s. Move it to %s first."
        .formatted(round.stage().label(), stageMoves.whereSet(context));
  }

  /** Publishing failed: the article stays set, with the reason. */
  @Transactional
  public void failed(SiteContext context, Round round, String reason) {
    rounds.failed(round.id(), reason, clock.instant());
    history.note(
        context,
        Right.EDIT,
        "%s was not published. %s".formatted(round.reference(), reason),
        Change.lasting(Thing.ARTICLE, round.article().number(), "Publishing", null, reason));
  }

  /**
   * Publishing succeeded: the round is live from now on.
   *
   * @param remark an end for the sentence in the history, such as how late it was
   */
  @Transactional
  public void wentLive(
      SiteContext context, Round round, String address, boolean simulated, String remark) {
    LocalDate today = sites.today(context.site());
    Live live = new Live(clock.instant(), today, address, simulated);
    live(context, round, live, " went live" + remark + ".");
  }

  /**
   * The round was published elsewhere.
   *
   * @param address where it is
   * @param day since when, not after today
   */
  @Transactional
  public void wasPublishedElsewhere(
      SiteContext context, int number, String address, LocalDate day) {
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    if (!round.stage().isSet()) {
      throw new RefusedException(
          round.reference() + (round.isLive() ? " is live already." : notSet(context, round)));
    }
    if (day.isAfter(context.today())) {
      throw new RefusedException("It cannot be live since a day that is yet to come.");
    }
    Instant at = day.atTime(12, 0).atZone(context.site().zoneId()).toInstant();
    Instant moment = at.isAfter(clock.instant()) ? clock.instant() : at;
    Live live = new Live(moment, day, WebAddress.checked(address), false);
    live(context, round, live, " is live, published elsewhere.");
  }

  /** Since when a round is live, and where. */
  private record Live(Instant at, LocalDate day, String address, boolean simulated) {}

  private void live(SiteContext context, Round round, Live live, String what) {
    if (rounds.wentLive(round.id(), live.at(), live.day(), stageMoves.live(context)) == 1) {
      rounds.setLiveAddress(round.article().id(), live.address(), live.simulated());
      List<Change> changes = stageMoves.wentLive(context, round, live.day());
      history.note(context, Right.EDIT, round.reference() + what, changes);
    }
  }

  /** Types in another live address, for an article that has moved. */
  @Transactional
  public void setLiveAddress(SiteContext context, int number, String address) {
    context.require(Right.EDIT);
    Round round = looking.get(context, number);
    if (round.article().liveAddress() == null) {
      throw new RefusedException(round.reference() + " is not live.");
    }
    String wanted = WebAddress.checked(address);
    rounds.setLiveAddress(round.article().id(), wanted, false);
    history.note(
        context,
        Right.EDIT,
        "The address of %s was set.".formatted(round.reference()),
        Change.lasting(
            Thing.ARTICLE, number, "Live address", round.article().liveAddress(), wanted));
  }
}
