package osmerin.app.platform.security;

import java.util.Collection;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** The person who is signed in. Kept in the session, so it holds nothing that changes often. */
public record SignedIn(long id, String login, String name, String initials, String passwordHash)
    implements UserDetails {
  /** As it is kept in a session. */
  SignedIn withoutHash() {
    return new SignedIn(id, login, name, initials, "");
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return List.of();
  }

  @Override
  public String getPassword() {
    return passwordHash;
  }

  @Override
  public String getUsername() {
    return login;
  }
}
