package osmerin.app.team;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import osmerin.app.site.Role;

/** Somebody who works on a site. */
public record Person(
    long id,
    String login,
    String name,
    String initials,
    @Nullable String mail,
    Role role,
    Instant joinedAt) {
  /** What they sign in as and their mail address, if that is another; of a guest the address. */
  public String reached() {
    if (role == Role.GUEST) {
      return String.valueOf(mail);
    }
    return mail == null || mail.equals(login) ? login : login + ", " + mail;
  }
}
