package osmerin.app.platform.security;

import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Slows down what can be tried again and again: password links, the set-up, passwords. */
@Component
public class AskGuard {
  private static final String EVERYWHERE = "everywhere";

  private final Throttle linksOfName;
  private final Throttle linksFromAddress;
  private final Throttle codesFromAddress;
  private final Throttle codes;
  private final Throttle passwords;
  private final Throttle linkGuesses;
  private final Throttle linkUses;

  AskGuard(Clock clock) {
    linksOfName = new Throttle(clock, 3, Duration.ofMinutes(20));
    linksFromAddress = new Throttle(clock, 10, Duration.ofMinutes(1));
    codesFromAddress = new Throttle(clock, 8, Duration.ofSeconds(30));
    codes = new Throttle(clock, 60, Duration.ofSeconds(10));
    passwords = new Throttle(clock, 8, Duration.ofSeconds(30));
    linkGuesses = new Throttle(clock, 20, Duration.ofSeconds(30));
    linkUses = new Throttle(clock, 30, Duration.ofSeconds(2));
  }

  /** Counts asking for a password link; how long this address has to wait. */
  public Optional<Duration> askForLinkFrom(String address) {
    return linksFromAddress.attempt(address);
  }

  /** Counts a link for a name; false when there were too many, of which nobody is told. */
  public boolean mayHaveLink(String name) {
    return linksOfName.attempt(name.strip().toLowerCase(Locale.ROOT)).isEmpty();
  }

  /** Counts a wrong guess of one's own password while signed in; how long to wait. */
  public Optional<Duration> guessPassword(long personId) {
    return passwords.attempt(String.valueOf(personId));
  }

  /** Counts a link that nobody was given; how long this address has to wait. */
  public Optional<Duration> guessLinkFrom(String address) {
    return linkGuesses.attempt(address);
  }

  /** Counts something done through a link; how long to wait. */
  public Optional<Duration> useLink(String token) {
    return linkUses.attempt(token);
  }

  /** Counts a try of the set-up code; how long to wait, from this address or from anywhere. */
  public Optional<Duration> tryCodeFrom(String address) {
    return codesFromAddress.attempt(address).or(() -> codes.attempt(EVERYWHERE));
  }
}
