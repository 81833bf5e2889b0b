package osmerin.app.team;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamMapper.PersonName;

/** People and their roles on sites. */
@Service
public class TeamService implements UserDetailsService {
  /** The hash of no password at all. */
  private static final String NO_PASSWORD = "!";

  private final TeamMapper team;
  private final PasswordEncoder passwords;
  private final History history;
  private final Notices notices;
  private final Clock clock;

  TeamService(
      TeamMapper team, PasswordEncoder passwords, History history, Notices notices, Clock clock) {
    this.team = team;
    this.passwords = passwords;
    this.history = history;
    this.notices = notices;
    this.clock = clock;
  }

  @Override
  public UserDetails loadUserByUsername(String login) {
    return team.findByLogin(normal(login))
        .map(UserDetails.class::cast)
        .orElseThrow(() -> new UsernameNotFoundException("nobody signs in as " + login));
  }

  /** A person by id. */
  public SignedIn signedIn(long personId) {
    return team.findById(personId).orElseThrow(() -> new NotFoundException("person", personId));
  }

  /** Whether one person works on the site: then nobody needs to be named, told or asked. */
  public boolean isAlone(long siteId) {
    return people(siteId).stream().filter(p -> p.role() != Role.GUEST).count() == 1;
  }

  /** The people of a site by name. */
  public List<Person> people(long siteId) {
    return team.ofSite(siteId);
  }

  /** Names by person, of those who left too. */
  public Map<Long, String> names(long siteId) {
    return team.everOnSite(siteId).stream()
        .collect(Collectors.toMap(PersonName::id, PersonName::name));
  }

  /** Initials by person, of those who left too. */
  public Map<Long, String> initials(long siteId) {
    return team.everOnSite(siteId).stream()
        .collect(Collectors.toMap(PersonName::id, PersonName::initials));
  }

  /** The people whose role has a right. */
  public Set<Long> who(long siteId, Right right) {
    return people(siteId).stream()
        .filter(p -> right.isGivenTo(p.role()))
        .map(Person::id)
        .collect(Collectors.toSet());
  }

  /**
   * Whether nobody can sign in yet. Within a transaction nobody else can be added after the answer.
   */
  @Transactional
  public boolean isEmpty() {
    team.lock();
    return team.count() == 0;
  }

  /** Adds a person; the login is kept in lower case, and is their mail address if it is one. */
  @Transactional
  public long add(String login, String name, String password) {
    return add(login, name, login.contains("@") ? login.strip() : null, password);
  }

  @Transactional
  public long add(String login, String name, @Nullable String mail, String password) {
    return team.insert(
        normal(login), name.strip(), initials(name), mail, passwords.encode(password));
  }

  /** Adds somebody who signs in nowhere. */
  @Transactional
  public long addGuest(String login, String name) {
    return team.insert(login, name, initials(name), null, NO_PASSWORD);
  }

  /**
   * Gives a person a role on a site; who has a higher one there keeps it.
   *
   * @return the role they have now
   */
  @Transactional
  public Role join(long siteId, long personId, Role role) {
    Role now = team.lockRole(siteId, personId).orElse(null);
    if (now != null && now.compareTo(role) >= 0) {
      return now;
    }
    team.join(siteId, personId, role, clock.instant());
    return role;
  }

  /**
   * Gives a person another role.
   *
   * @param seen the role that was shown
   * @throws RefusedException when the site would be left without an owner
   */
  @Transactional
  public void changeRole(SiteContext context, long personId, Role seen, Role role) {
    context.require(Right.MANAGE);
    Person person = get(context, personId);
    if (person.role() == Role.GUEST || role == Role.GUEST) {
      throw new RefusedException(
          "A guest has no account. Invite %s by mail to give them one.".formatted(person.name()));
    }
    keepAnOwner(context, person, role == Role.OWNER);
    if (team.changeRole(context.siteId(), personId, seen, role) == 0) {
      throw new ConflictException(
          new ConflictException.Field(person.name(), "Role"),
          person.role().label(),
          role.label(),
          history.lastBy(context, Thing.PERSON, personId, "Role"),
          Map.of("seen", person.role().name()));
    }
    if (seen != role) {
      history.note(
          context,
          Right.MANAGE,
          "%s is %s now.".formatted(person.name(), role.label()),
          Change.lasting(Thing.PERSON, personId, "Role", seen.label(), role.label()));
      String text = "You are %s on %s now.".formatted(role.label(), context.site().name());
      notices.tell(
          context, List.of(personId), NoticeKind.ROLE_CHANGED, text, context.base() + "/desk");
    }
  }

  /** Takes a person off the site; what they did keeps their name. */
  @Transactional
  public void remove(SiteContext context, long personId) {
    context.require(Right.MANAGE);
    Person person = get(context, personId);
    keepAnOwner(context, person, false);
    team.leave(context.siteId(), personId, clock.instant());
    history.note(
        context,
        Right.MANAGE,
        "%s is no longer on the site.".formatted(person.name()),
        Change.lasting(Thing.PERSON, personId, "Role", person.role().label(), null));
  }

  private void keepAnOwner(SiteContext context, Person person, boolean staysOwner) {
    List<Long> owners = team.lockOwners(context.siteId());
    if (!staysOwner && owners.equals(List.of(person.id()))) {
      throw new RefusedException(
          person.name() + " is the only owner. Make somebody else an owner first.");
    }
  }

  /**
   * @throws NotFoundException when the person is not on the site
   */
  public Person get(SiteContext context, long personId) {
    return people(context.siteId()).stream()
        .filter(p -> p.id() == personId)
        .findFirst()
        .orElseThrow(() -> new NotFoundException("person", personId));
  }

  static String normal(String login) {
    return login.strip().toLowerCase(Locale.ROOT);
  }

  /** First letters of the first and the last name. */
  static String initials(String name) {
    List<String> parts = Stream.of(name.strip().split("\\s+")).filter(p -> !p.isEmpty()).toList();
    return Stream.of(parts.get(0), parts.get(parts.size() - 1))
        .limit(Math.min(2, parts.size()))
        .map(part -> part.substring(0, part.offsetByCodePoints(0, 1)).toUpperCase(Locale.ROOT))
        .collect(Collectors.joining());
  }
}
