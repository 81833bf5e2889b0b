package osmerin.app.guests;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.people.Naming;
import osmerin.app.people.PeopleEdits;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.security.SecretToken;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.Steps;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.team.AccountService;
import osmerin.app.team.PersonName;
import osmerin.app.team.TeamService;
import osmerin.core.runup.Completion;
import osmerin.core.runup.StepRole;

/** The guests of a site and their links. */
@Service
public class Guests {
  static final Duration VALID = Duration.ofDays(60);

  private final GuestMapper guests;
  private final ArticleService articles;
  private final Steps steps;
  private final PeopleEdits people;
  private final TeamService team;
  private final History history;
  private final Post post;
  private final Clock clock;

  Guests(
      GuestMapper guests,
      ArticleService articles,
      Steps steps,
      PeopleEdits people,
      TeamService team,
      History history,
      Post post,
      Clock clock) {
    this.guests = guests;
    this.articles = articles;
    this.steps = steps;
    this.people = people;
    this.team = team;
    this.history = history;
    this.post = post;
    this.clock = clock;
  }

  /**
   * Asks somebody without an account to do a role's steps of an article: they are named behind
   * those who do them, and get a mail with their link.
   *
   * @param mail by which they are known on the site when asked again
   */
  @Transactional
  public void ask(SiteContext context, int number, String name, String mail, StepRole role) {
    context.require(Right.EDIT);
    Round round = articles.get(context, number);
    long guest = guest(context, name, mail);
    List<Long> named = round.article().people(role);
    if (named.contains(guest)) {
      throw new RefusedException(
          "%s is already named as %s of %s.".formatted(name.strip(), role, round.reference()));
    }
    // Naming tells them, and telling a guest makes their link.
    people.name(context, number, new Naming(role, named.size(), null, guest));
  }

  private long guest(SiteContext context, String typedName, String typedMail) {
    PersonName.fault(typedName)
        .ifPresent(
            fault -> {
              throw new RefusedException(fault);
            });
    String name = typedName.strip();
    String mail = AccountService.mail(typedMail);
    boolean hasAccount =
        team.people(context.siteId()).stream()
            .anyMatch(p -> p.role() != Role.GUEST && mail.equalsIgnoreCase(p.mail()));
    if (hasAccount) {
      throw new RefusedException(
          mail + " is the address of somebody who works here with an account. Name them instead.");
    }
    Optional<Long> known = guests.findGuest(context.siteId(), mail);
    if (known.isPresent()) {
      team.join(context.siteId(), known.get(), Role.GUEST);
      return known.get();
    }
    long person = team.addGuest("guest:" + UUID.randomUUID(), name);
    guests.insertGuest(person, context.siteId(), mail);
    team.join(context.siteId(), person, Role.GUEST);
    history.note(
        context,
        Right.EDIT,
        "%s was asked to work as a guest.".formatted(name),
        Change.lasting(Thing.PERSON, person, "Role", null, Role.GUEST.label()));
    return person;
  }

  /** The last link of each guest of an article, by the guest's name; it may have ended. */
  public List<GuestLink> of(Round round) {
    return guests.ofArticle(round.article().id());
  }

  /** What guests left for an article, the latest first. */
  public List<HandedIn> handedIn(Round round) {
    return guests.handedIn(round.article().id(), null);
  }

  /** The address of a link, to be handed over. */
  public String address(GuestLink link) {
    return post.address("/by-link/" + link.token());
  }

  /**
   * The link of a guest to an article, made when they have none; it is valid from now on as long as
   * a new one. Empty when it was revoked: then only a person gives them another.
   */
  @Transactional
  public Optional<GuestLink> link(Round round, long guest) {
    Optional<GuestLink> last =
        of(round).stream().filter(link -> link.personId() == guest).findFirst();
    if (last.isEmpty()) {
      return Optional.of(fresh(round, guest));
    }
    extend(last.get());
    return last.filter(link -> link.revokedAt() == null);
  }

  private GuestLink fresh(Round round, long guest) {
    Instant now = clock.instant();
    String token = SecretToken.fresh();
    long article = round.article().id();
    guests.insertLink(
        new GuestMapper.MadeLink(
            guest, article, token, writes(round, guest), now, now.plus(VALID)));
    return guests.byToken(token).orElseThrow();
  }

  private void extend(GuestLink link) {
    guests.extend(link.articleId(), link.id(), clock.instant().plus(VALID));
  }

  /** Who writes the draft needs the brief. */
  private boolean writes(Round round, long guest) {
    return steps.of(List.of(round.id())).stream()
        .filter(step -> step.completedBy() == Completion.DRAFT_HANDED_IN)
        .anyMatch((StepRow step) -> round.holders(step).contains(guest));
  }

  /**
   * Mails a link again, which is valid from now on as long as a new one; in place of one that was
   * revoked the guest gets another.
   */
  @Transactional
  public void send(SiteContext context, int number, long id) {
    Round round = articles.get(context, number);
    GuestLink link = get(context, round, id);
    boolean revoked = link.revokedAt() != null;
    extend(link);
    mail(
        context.site().name(),
        revoked ? fresh(round, link.personId()) : link,
        "Your part of “%s”.".formatted(round.title()));
    if (revoked) {
      note(context, round, "%s got another link to %s.".formatted(link.guest(), round.reference()));
    }
  }

  /** Mails a guest something, with the link. */
  void mail(String site, GuestLink link, String text) {
    post.send(
        link.mail(),
        site + ": " + text,
        """
        %s

        %s

        The link is yours alone and opens without an account, for %s days.
        """
            .formatted(text, address(link), VALID.toDays()));
  }

  /** Says whether a link shows the brief. */
  @Transactional
  public void showBrief(SiteContext context, int number, long id, boolean shown) {
    Round round = articles.get(context, number);
    GuestLink link = get(context, round, id);
    if (guests.setWithBrief(round.article().id(), id, shown) == 1) {
      note(
          context,
          round,
          "The link of %s to %s shows the brief %s."
              .formatted(link.guest(), round.reference(), shown ? "now" : "no longer"));
    }
  }

  /** Ends a link: whoever opens it is told so. */
  @Transactional
  public void revoke(SiteContext context, int number, long id) {
    Round round = articles.get(context, number);
    GuestLink link = get(context, round, id);
    if (guests.revoke(round.article().id(), id, clock.instant()) == 1) {
      note(
          context,
          round,
          "The link of %s to %s was revoked.".formatted(link.guest(), round.reference()));
    }
  }

  private void note(SiteContext context, Round round, String sentence) {
    history.note(
        context,
        Right.EDIT,
        sentence,
        Change.lasting(Thing.ARTICLE, round.article().number(), "Guest", null, sentence));
  }

  private GuestLink get(SiteContext context, Round round, long id) {
    context.require(Right.EDIT);
    return of(round).stream()
        .filter(link -> link.id() == id)
        .findFirst()
        .orElseThrow(() -> new NotFoundException("link", id));
  }

  /** A file that a guest handed in. */
  GuestMapper.StoredFile file(SiteContext context, int number, long id) {
    Round round = articles.get(context, number);
    return guests
        .file(round.article().id(), id)
        .orElseThrow(() -> new NotFoundException("file", id));
  }
}
