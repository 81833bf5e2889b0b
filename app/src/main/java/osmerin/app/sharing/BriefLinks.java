package osmerin.app.sharing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.guests.GuestLink;
import osmerin.app.guests.Guests;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.security.LinkDoor.State;
import osmerin.app.platform.security.SecretToken;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** Links to briefs: made, listed with who opened them when, revoked. */
@Service
public class BriefLinks {
  static final int LONGEST_NAME = 80;
  static final int MOST_DAYS = 365;
  static final int MOST_LINKS = 50;

  private final BriefLinkMapper links;
  private final Guests guests;
  private final Post post;
  private final History history;
  private final Clock clock;

  BriefLinks(BriefLinkMapper links, Guests guests, Post post, History history, Clock clock) {
    this.links = links;
    this.guests = guests;
    this.post = post;
    this.history = history;
    this.clock = clock;
  }

  /**
   * What a link is to be.
   *
   * @param whom for whom
   * @param days for which it works
   */
  public record Wanted(String whom, int days, boolean withCheck, boolean withHandIn) {}

  /** A link with its whole address. */
  public record Shown(BriefLink link, String address, boolean works) {}

  /** Those of an article, the latest first; a link of an earlier round still shows its brief. */
  public List<Shown> of(Round round) {
    Instant now = clock.instant();
    return links.ofArticle(round.article().id()).stream()
        .map(link -> new Shown(link, post.address(link.path()), link.state(now) == State.WORKS))
        .toList();
  }

  /** The link of a token, whether it works or not. */
  Optional<BriefLink> find(String token) {
    return links.byToken(token);
  }

  State state(BriefLink link) {
    return link.state(clock.instant());
  }

  /** Somebody opens it, which is written down. */
  void opened(BriefLink link) {
    links.opened(link.id(), clock.instant());
  }

  /** A guest's link with its whole address. */
  public record ShownOfGuest(GuestLink link, String address, boolean works) {}

  /** The last link of each guest of an article: to their steps, and to the brief where it shows. */
  public List<ShownOfGuest> ofGuests(Round round) {
    return guests.of(round).stream()
        .map(link -> new ShownOfGuest(link, guests.address(link), works(link)))
        .toList();
  }

  private boolean works(GuestLink link) {
    return link.state(clock.instant()) == State.WORKS;
  }

  /**
   * Makes a link. A guest of the article has one, which shows the brief from now on: nobody needs
   * two.
   *
   * @return whether there is a new link, rather than that of a guest
   */
  @Transactional
  public boolean make(SiteContext context, Round round, Wanted wanted) {
    context.require(Right.EDIT);
    String whom = wanted.whom().strip();
    Optional<GuestLink> guest = guest(round, whom);
    guest.ifPresent(link -> guests.showBrief(context, round.article().number(), link.id(), true));
    if (guest.isEmpty()) {
      insert(context, round, whom, wanted);
    }
    return guest.isEmpty();
  }

  private Optional<GuestLink> guest(Round round, String whom) {
    return guests.of(round).stream()
        .filter(link -> link.guest().equalsIgnoreCase(whom))
        .filter(this::works)
        .findFirst();
  }

  private void insert(SiteContext context, Round round, String whom, Wanted wanted) {
    if (whom.isEmpty() || whom.length() > LONGEST_NAME) {
      throw new RefusedException("Say who it is for, in 1 to %s letters.".formatted(LONGEST_NAME));
    }
    if (wanted.days() < 1 || wanted.days() > MOST_DAYS) {
      throw new RefusedException("A link works for 1 to %s days.".formatted(MOST_DAYS));
    }
    if (links.ofArticle(round.article().id()).size() >= MOST_LINKS) {
      throw new RefusedException("This article has %s links already.".formatted(MOST_LINKS));
    }
    Instant now = clock.instant();
    links.insert(
        new BriefLinkMapper.Made(
            context.siteId(),
            round.id(),
            whom,
            SecretToken.fresh(),
            wanted.withCheck(),
            wanted.withHandIn(),
            context.personId(),
            now,
            now.plus(Duration.ofDays(wanted.days()))));
    history.note(
        context,
        Right.EDIT,
        "The brief of %s was shared with %s.".formatted(round.reference(), whom),
        Change.lasting(Thing.ARTICLE, round.article().number(), "Shared brief", null, whom));
  }

  /** Ends a link, or lets it work again. */
  @Transactional
  public void revoke(SiteContext context, Round round, long id, boolean away) {
    context.require(Right.EDIT);
    BriefLink link =
        links
            .find(context.siteId(), id)
            .filter(l -> l.number() == round.article().number())
            .orElseThrow(() -> new NotFoundException("link", id));
    if (links.revoke(id, link.revokedAt(), away ? clock.instant() : null) == 0) {
      throw new RefusedException("Someone else has just changed this link. Nothing was changed.");
    }
    history.note(
        context,
        Right.EDIT,
        (away
                ? "The link of %s to the brief of %s was revoked."
                : "The link of %s to the brief of %s works again.")
            .formatted(link.whom(), round.reference()),
        Change.lasting(
            Thing.ARTICLE,
            round.article().number(),
            "Shared brief",
            away ? link.whom() : null,
            away ? null : link.whom()));
  }
}
