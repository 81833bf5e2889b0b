package osmerin.app.platform.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;

/** Signs people in who just proved who they are: by the set-up code, or by an invitation. */
@Component
public class SignIns {
  private final UserDetailsService people;
  private final HttpSessionSecurityContextRepository contexts =
      new HttpSessionSecurityContextRepository();

  SignIns(UserDetailsService people) {
    this.people = people;
  }

  /** Begins a session of its own, so that one from before cannot be carried over. */
  public void signIn(String login, HttpServletRequest request, HttpServletResponse response) {
    UserDetails person = ((SignedIn) people.loadUserByUsername(login)).withoutHash();
    request.getSession();
    request.changeSessionId();
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
  }
}
