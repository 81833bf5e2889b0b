package osmerin.app.team;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.security.SecretToken;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;

/**
 * Changes people's mail addresses. Whoever has the address can have the account, so a change takes
 * the current password and is confirmed from the new address, or by an owner where no mail is sent;
 * the old address is told, and links sent there work no longer.
 */
@Service
public class MailAddresses {
  private static final Duration VALID = Duration.ofDays(2);

  private final TeamMapper team;
  private final LinkMapper links;
  private final AccountService accounts;
  private final Post post;
  private final Clock clock;

  MailAddresses(
      TeamMapper team, LinkMapper links, AccountService accounts, Post post, Clock clock) {
    this.team = team;
    this.links = links;
    this.accounts = accounts;
    this.post = post;
    this.clock = clock;
  }

  /** What came of asking for another address. */
  public enum Asked {
    CHANGED,
    WAITS_FOR_LINK,
    WAITS_FOR_OWNER
  }

  /**
   * Asks for another address; an empty one takes the address away.
   *
   * @param password the current one
   * @throws RefusedException when the password is wrong, or the address is none or somebody else's
   */
  @Transactional
  public Asked ask(SignedIn person, String typed, String password) {
    accounts.requirePassword(person, password);
    String mail = typed.isBlank() ? null : AccountService.mail(typed);
    if (mail == null || mail.equals(team.settings(person.id()).mail())) {
      put(person.id(), mail);
      return Asked.CHANGED;
    }
    requireFree(mail, person.id());
    links.endMailChanges(person.id(), clock.instant());
    return post.isConnected() ? sendLink(person, mail) : waitForOwner(person, mail);
  }

  private Asked sendLink(SignedIn person, String mail) {
    String token = SecretToken.fresh();
    insert(person.id(), mail, SecretToken.hash(token));
    post.send(
        mail,
        "Your mail address at Osmerin",
        """
        %s, with this link you confirm that this is your mail address:

        %s

        It works once, for two days. If you did not ask for it, do nothing.
        """
            .formatted(person.name(), post.address("/mail/" + token)));
    return Asked.WAITS_FOR_LINK;
  }

  private Asked waitForOwner(SignedIn person, String mail) {
    if (team.countSitesNotOwnedBy(person.id(), person.id()) == 0) {
      put(person.id(), mail);
      return Asked.CHANGED;
    }
    insert(person.id(), mail, null);
    return Asked.WAITS_FOR_OWNER;
  }

  private void insert(long personId, String mail, byte @Nullable [] tokenHash) {
    links.insertMailChange(personId, mail, tokenHash, clock.instant().plus(VALID));
  }

  /** The change of a link, while it works. */
  public Optional<MailChange> ofLink(String token) {
    return links.findMailChange(SecretToken.hash(token), clock.instant());
  }

  /**
   * Confirms from the new address.
   *
   * @return the address
   * @throws NotFoundException when the link works no longer
   */
  @Transactional
  public String confirm(String token) {
    MailChange change =
        ofLink(token).orElseThrow(() -> new NotFoundException("mail address", "link"));
    take(change);
    return change.mail();
  }

  /** What people of a site asked for where no mail is sent, by person. */
  public Map<Long, MailChange> waiting(SiteContext context) {
    List<MailChange> waiting = links.mailChangesOf(context.siteId(), clock.instant());
    return waiting.stream().collect(Collectors.toMap(MailChange::personId, Function.identity()));
  }

  /** An owner confirms for somebody who works on no site that is not theirs too. */
  @Transactional
  public String confirmFor(SiteContext owner, Person person) {
    accounts.requireOwnPeople(owner, person);
    MailChange change =
        Optional.ofNullable(waiting(owner).get(person.id()))
            .orElseThrow(() -> new NotFoundException("mail address", person.id()));
    take(change);
    return change.mail();
  }

  private void take(MailChange change) {
    if (links.useMailChange(change.id(), clock.instant()) == 0) {
      throw new NotFoundException("mail address", "link");
    }
    requireFree(change.mail(), change.personId());
    put(change.personId(), change.mail());
  }

  private void requireFree(String mail, long personId) {
    if (team.isLoginTaken(TeamService.normal(mail), personId)) {
      throw new RefusedException(mail + " belongs to somebody else here.");
    }
  }

  private void put(long personId, @Nullable String mail) {
    String before = team.settings(personId).mail();
    Instant now = clock.instant();
    team.setMail(personId, mail);
    links.endMailChanges(personId, now);
    links.endPasswordLinks(personId, now);
    if (before != null && !before.equals(mail)) {
      post.send(
          before,
          "Your mail address at Osmerin has changed",
          "Mail for you goes to %s from now on. If that was not you, tell an owner of your site.\n"
              .formatted(mail == null ? "no address" : mail));
    }
  }
}
