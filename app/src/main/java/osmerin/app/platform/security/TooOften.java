package osmerin.app.platform.security;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;

/** The answer to whoever tries too often. */
public final class TooOften {
  private TooOften() {}

  /**
   * Marks an answer as one to come back to.
   *
   * @return the seconds to wait, never too few
   */
  public static long say(HttpServletResponse response, Duration wait) {
    long seconds = wait.toSeconds() + 1;
    response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
    response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(seconds));
    return seconds;
  }
}
