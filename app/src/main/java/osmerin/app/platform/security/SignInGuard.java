package osmerin.app.platform.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Slows guessing of passwords down. Tries are counted for a name from one address, for an address,
 * and for a name from wherever; each count drains away with time, so nobody is locked out for good.
 * The last does not hold where the person has signed in before: whoever hammers at a name from
 * elsewhere keeps its owner from nothing.
 */
@Component
public class SignInGuard {
  private static final int MOST_KEPT = 100_000;

  private final Throttle pairs;
  private final Throttle addresses;
  private final Throttle names;
  private final Cache<String, Boolean> known =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(Duration.ofDays(30)).build();

  SignInGuard(Clock clock) {
    pairs = new Throttle(clock, 6, Duration.ofMinutes(1));
    addresses = new Throttle(clock, 30, Duration.ofSeconds(10));
    names = new Throttle(clock, 60, Duration.ofSeconds(30));
  }

  /**
   * Counts a try.
   *
   * @return how long to wait before the next one; empty when this one may be made
   */
  Optional<Duration> attempt(String name, String address) {
    String pair = pair(name, address);
    boolean isKnown = known.getIfPresent(pair) != null;
    return Stream.of(
            pairs.attempt(pair),
            addresses.attempt(address),
            isKnown ? Optional.<Duration>empty() : names.attempt(normal(name)))
        .flatMap(Optional::stream)
        .max(Comparator.naturalOrder());
  }

  /** The try succeeded: it does not count, and the address is known from now on. */
  void succeeded(String name, String address) {
    String pair = pair(name, address);
    known.put(pair, true);
    pairs.forget(pair);
    addresses.giveBack(address);
    names.giveBack(normal(name));
  }

  private static String pair(String name, String address) {
    return address + " " + normal(name);
  }

  private static String normal(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }
}
