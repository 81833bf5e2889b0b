package osmerin.app.platform.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Says why a link that somebody was handed does not open. */
@Component
public class LinkDoor {
  private final AskGuard guard;

  LinkDoor(AskGuard guard) {
    this.guard = guard;
  }

  /** How a link stands. */
  public enum State {
    UNKNOWN,
    WORKS,
    REVOKED,
    EXPIRED
  }

  /** What to tell whoever has the link; empty when it opens. Guesses are slowed down. */
  public Optional<String> shut(
      State state, HttpServletRequest request, HttpServletResponse response) {
    if (state == State.WORKS) {
      return Optional.empty();
    }
    if (state == State.UNKNOWN) {
      response.setStatus(HttpStatus.NOT_FOUND.value());
      guard.guessLinkFrom(request.getRemoteAddr()).ifPresent(wait -> TooOften.say(response, wait));
      return Optional.of("This link is not known. Copy it whole from the mail.");
    }
    response.setStatus(HttpStatus.GONE.value());
    return Optional.of(
        state == State.REVOKED
            ? "This link was revoked. Ask the sender if you still need it."
            : "This link has expired. Ask the sender for another one.");
  }
}
