package osmerin.app.team;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People and the sites they work on. */
@Service
public class TeamService implements UserDetailsService {
  private final TeamMapper team;
  private final PasswordEncoder passwords;

  TeamService(TeamMapper team, PasswordEncoder passwords) {
    this.team = team;
    this.passwords = passwords;
  }

  @Override
  public UserDetails loadUserByUsername(String login) {
    return team.findByLogin(normal(login))
        .map(UserDetails.class::cast)
        .orElseThrow(() -> new UsernameNotFoundException("nobody signs in as " + login));
  }

  /** The people of a site by name. */
  public List<Person> people(long siteId) {
    return team.ofSite(siteId);
  }

  /** Names by person. */
  public Map<Long, String> names(long siteId) {
    return people(siteId).stream().collect(Collectors.toMap(Person::id, Person::name));
  }

  /** Initials by person. */
  public Map<Long, String> initials(long siteId) {
    return people(siteId).stream().collect(Collectors.toMap(Person::id, Person::initials));
  }

  /**
   * Whether nobody can sign in yet. Within a transaction nobody else can be added after the answer.
   */
  @Transactional
  public boolean isEmpty() {
    team.lock();
    return team.count() == 0;
  }

  /** Adds a person; the login is kept in lower case. */
  @Transactional
  public long add(String login, String name, String password) {
    return team.insert(normal(login), name.strip(), initials(name), passwords.encode(password));
  }

  @Transactional
  public void join(long siteId, long personId, Role role) {
    team.join(siteId, personId, role);
  }

  private static String normal(String login) {
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
