package osmerin.app.team;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.security.SecretToken;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;

/** Invitations by a link that works once. */
@Service
public class Invitations {
  static final Duration VALID = Duration.ofDays(7);

  private final LinkMapper links;
  private final TeamService team;
  private final AccountService accounts;
  private final SiteService sites;
  private final History history;
  private final Post post;
  private final Clock clock;

  Invitations(
      LinkMapper links,
      TeamService team,
      AccountService accounts,
      SiteService sites,
      History history,
      Post post,
      Clock clock) {
    this.links = links;
    this.team = team;
    this.accounts = accounts;
    this.sites = sites;
    this.history = history;
    this.post = post;
    this.clock = clock;
  }

  /** Those that can still be taken, the latest first. */
  public List<Invitation> open(SiteContext context) {
    return links.open(context.siteId(), clock.instant());
  }

  /**
   * Invites somebody by mail.
   *
   * @return the link; it is shown once and stored nowhere
   */
  @Transactional
  public String invite(SiteContext context, String mail, Role role) {
    context.require(Right.MANAGE);
    String to = AccountService.mail(mail);
    if (role == Role.GUEST) {
      throw new RefusedException("Guests are asked on the page of an article.");
    }
    boolean isHere =
        team.people(context.siteId()).stream()
            .anyMatch(p -> p.role() != Role.GUEST && to.equalsIgnoreCase(p.mail()));
    if (isHere) {
      throw new RefusedException(to + " works on this site already.");
    }
    String token = SecretToken.fresh();
    Instant now = clock.instant();
    links.invite(
        new LinkMapper.Invited(
            context.siteId(),
            to,
            role,
            SecretToken.hash(token),
            context.personId(),
            now,
            now.plus(VALID)));
    String link = post.address("/invitation/" + token);
    post.send(to, "Invitation to " + context.site().name(), letter(context, role, link));
    history.note(
        context,
        Right.MANAGE,
        "%s was invited as %s.".formatted(to, role.label().toLowerCase(Locale.ROOT)),
        Change.lasting(Thing.SITE, context.siteId(), "Invitation", null, to));
    return link;
  }

  private static String letter(SiteContext context, Role role, String link) {
    return """
        %s invites you to work on %s as %s.

        %s

        The link works once, for seven days.
        """
        .formatted(
            context.person().name(),
            context.site().name(),
            role.label().toLowerCase(Locale.ROOT),
            link);
  }

  /** Withdraws an invitation: its link works no longer. */
  @Transactional
  public void revoke(SiteContext context, long id) {
    context.require(Right.MANAGE);
    Invitation invitation =
        open(context).stream()
            .filter(i -> i.id() == id)
            .findFirst()
            .orElseThrow(() -> new NotFoundException("invitation", id));
    links.revoke(context.siteId(), id, clock.instant());
    history.note(
        context,
        Right.MANAGE,
        "The invitation of %s was withdrawn.".formatted(invitation.mail()),
        Change.lasting(Thing.SITE, context.siteId(), "Invitation", invitation.mail(), null));
  }

  /** The invitation of a link that still works. */
  public Optional<Invitation> find(String token) {
    return links.find(SecretToken.hash(token), clock.instant());
  }

  /** Somebody who is signed in takes an invitation. */
  @Transactional
  public Invitation accept(String token, SignedIn person) {
    Invitation invitation = take(token);
    join(invitation, person);
    return invitation;
  }

  /**
   * Somebody new takes an invitation and gets an account with the mail address invited.
   *
   * @return for each field at fault what to do about it; empty when it was done
   */
  @Transactional
  public Map<String, String> acceptNew(String token, String name, String password) {
    Invitation invitation =
        find(token).orElseThrow(() -> new NotFoundException("invitation", "link"));
    Map<String, String> faults = new LinkedHashMap<>();
    PersonName.fault(name).ifPresent(fault -> faults.put("name", fault));
    accounts
        .passwordFault(password, List.of(name, invitation.mail(), invitation.site()))
        .ifPresent(fault -> faults.put("password", fault));
    if (accounts.isTaken(invitation.mail())) {
      faults.put("name", "Somebody signs in with this mail address already. Sign in first.");
    }
    if (faults.isEmpty()) {
      take(token);
      join(invitation, team.signedIn(team.add(invitation.mail(), name, password)));
    }
    return faults;
  }

  private void join(Invitation invitation, SignedIn person) {
    Role role = team.join(invitation.siteId(), person.id(), invitation.role());
    String invited = invitation.role().label().toLowerCase(Locale.ROOT);
    history.note(
        sites.onBehalfOf(invitation.siteId(), person),
        Right.MANAGE,
        role == invitation.role()
            ? "%s took the invitation and is %s.".formatted(person.name(), role.label())
            : "%s took an invitation as %s and stays %s."
                .formatted(person.name(), invited, role.label()),
        Change.lasting(Thing.PERSON, person.id(), "Role", null, role.label()));
  }

  private Invitation take(String token) {
    Invitation invitation =
        find(token).orElseThrow(() -> new NotFoundException("invitation", "link"));
    if (links.accept(invitation.id(), clock.instant()) == 0) {
      throw new NotFoundException("invitation", "link");
    }
    return invitation;
  }
}
