package osmerin.app.team;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.security.AskGuard;
import osmerin.app.platform.security.SecretToken;
import osmerin.app.platform.security.Sessions;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.core.text.Shortened;

/** What belongs to a person, not to a site: name, mail, password, settings. */
@Service
public class AccountService {
  /**
   * An address without comments, quotes and groups (RFC 5322): what a mail program would read out
   * of those is not what was typed.
   */
  private static final Pattern MAIL =
      Pattern.compile(
          "ATEXT(?:\\.ATEXT)*@LABEL(?:\\.LABEL)*"
              .replace("ATEXT", "[\\p{L}\\p{N}!#$%&'*+/=?^_`{|}~-]++")
              .replace("LABEL", "[\\p{L}\\p{N}](?:[\\p{L}\\p{N}-]*[\\p{L}\\p{N}])?"));

  static final Duration LINK_VALID = Duration.ofHours(2);

  private final TeamMapper team;
  private final LinkMapper links;
  private final PasswordEncoder passwords;
  private final PasswordRules rules;
  private final Sessions sessions;
  private final AskGuard guard;
  private final Post post;
  private final Clock clock;

  AccountService(
      TeamMapper team,
      LinkMapper links,
      PasswordEncoder passwords,
      PasswordRules rules,
      Sessions sessions,
      AskGuard guard,
      Post post,
      Clock clock) {
    this.team = team;
    this.links = links;
    this.passwords = passwords;
    this.rules = rules;
    this.sessions = sessions;
    this.guard = guard;
    this.post = post;
    this.clock = clock;
  }

  public Settings settings(long personId) {
    return team.settings(personId);
  }

  /**
   * Sets name, theme and keys; the mail address stays.
   *
   * @throws RefusedException when the name will not do
   */
  @Transactional
  public void set(SignedIn person, Settings settings) {
    refuse(PersonName.fault(settings.name()));
    String name = settings.name().strip();
    team.setSettings(person.id(), TeamService.initials(name), settings.named(name));
  }

  /** Refuses a password that is not the current one; many tries one after another too. */
  void requirePassword(SignedIn person, String typed) {
    if (guard.guessPassword(person.id()).isPresent()) {
      throw new RefusedException("Too many passwords were tried. Wait half a minute.");
    }
    if (!passwords.matches(typed, get(person.id()).passwordHash())) {
      throw new RefusedException("That isn't your current password.");
    }
  }

  boolean isTaken(String mail) {
    return team.isLoginTaken(TeamService.normal(mail), -1);
  }

  Optional<String> passwordFault(String password, List<String> about) {
    return rules.fault(password, about);
  }

  /**
   * Changes the password and signs the person out everywhere else.
   *
   * @param sessionId the session that stays
   * @throws RefusedException when the old one is wrong, or the new one will not do
   */
  @Transactional
  public void changePassword(SignedIn person, String old, String wanted, String sessionId) {
    requirePassword(person, old);
    SignedIn now = get(person.id());
    setPassword(now, wanted);
    sessions.endOthers(now.login(), sessionId);
  }

  private void setPassword(SignedIn person, String wanted) {
    List<String> about = new ArrayList<>(team.siteNames(person.id()));
    about.addAll(List.of(person.name(), person.login()));
    refuse(passwordFault(wanted, about));
    team.setPassword(person.id(), passwords.encode(wanted));
    links.endPasswordLinks(person.id(), clock.instant());
  }

  private static void refuse(Optional<String> fault) {
    fault.ifPresent(
        reason -> {
          throw new RefusedException(reason);
        });
  }

  /** Signs the person out everywhere, here too. */
  public int signOutEverywhere(SignedIn person) {
    return sessions.endAll(person.login());
  }

  /**
   * Sends a link for a new password to whoever has this name or address and a mail address. Nobody
   * is told whether there was one.
   */
  @Transactional
  public void forgotten(String login) {
    team.findByLogin(TeamService.normal(login))
        .ifPresent(
            person -> {
              String mail = team.settings(person.id()).mail();
              if (mail != null) {
                post.send(mail, "A new password", letter(link(person.id())));
              }
            });
  }

  private static String letter(String link) {
    return "With this link you choose a new password. It works once, for two hours:\n\n"
        + link
        + "\n\nIf you did not ask for it, do nothing.\n";
  }

  private String link(long personId) {
    String token = SecretToken.fresh();
    links.insertPasswordLink(SecretToken.hash(token), personId, clock.instant().plus(LINK_VALID));
    return post.address("/password/" + token);
  }

  /**
   * A link for a new password that an owner hands over, where there is no mail.
   *
   * @throws ForbiddenException when the person works on a site that the owner does not own, since
   *     the link would open that one too
   */
  @Transactional
  public String passwordLinkFor(SiteContext owner, Person person) {
    if (person.role() == Role.GUEST) {
      throw new RefusedException(person.name() + " is a guest and has no account.");
    }
    requireOwnPeople(owner, person);
    return link(person.id());
  }

  /** Refuses to act for somebody who works on a site that the owner does not own. */
  void requireOwnPeople(SiteContext owner, Person person) {
    owner.require(Right.MANAGE);
    if (team.countSitesNotOwnedBy(person.id(), owner.personId()) > 0) {
      throw new ForbiddenException(
          person.name()
              + " works on a site that is not yours too, so their password and mail address are"
              + " theirs to change.");
    }
  }

  /** Whose link it is, while it works. */
  public Optional<SignedIn> ofLink(String token) {
    return links.findPerson(SecretToken.hash(token), clock.instant()).map(this::get);
  }

  /** Chooses a new password by link; the person is signed out everywhere. */
  @Transactional
  public void choosePassword(String token, String wanted) {
    SignedIn person =
        links
            .lockPerson(SecretToken.hash(token), clock.instant())
            .map(this::get)
            .orElseThrow(() -> new NotFoundException("password link", "link"));
    setPassword(person, wanted);
    sessions.endAll(person.login());
  }

  private SignedIn get(long personId) {
    return team.findById(personId).orElseThrow(() -> new NotFoundException("person", personId));
  }

  /**
   * A mail address without space around it.
   *
   * @throws RefusedException when it is none
   */
  public static String mail(@Nullable String typed) {
    String mail = typed == null ? "" : typed.strip();
    if (mail.length() > 200 || !MAIL.matcher(mail).matches()) {
      throw new RefusedException("“" + Shortened.of(mail) + "” is not a mail address.");
    }
    return mail;
  }
}
