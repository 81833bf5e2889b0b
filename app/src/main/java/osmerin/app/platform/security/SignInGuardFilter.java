package osmerin.app.platform.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns tries to sign in away that come too fast. */
final class SignInGuardFilter extends OncePerRequestFilter {
  private final SignInGuard guard;

  SignInGuardFilter(SignInGuard guard) {
    this.guard = guard;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !"POST".equals(request.getMethod()) || !"/sign-in".equals(request.getServletPath());
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String name = Optional.ofNullable(request.getParameter("login")).orElse("");
    Optional<Duration> wait = guard.attempt(name, request.getRemoteAddr());
    if (wait.isPresent()) {
      long seconds = wait.get().toSeconds() + 1;
      response.setHeader("Retry-After", String.valueOf(seconds));
      response.sendRedirect(request.getContextPath() + "/sign-in?wait=" + seconds);
    } else {
      chain.doFilter(request, response);
    }
  }
}
