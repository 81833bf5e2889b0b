package osmerin.app.platform.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.TimeMeter;
import java.time.Clock;
import java.time.Duration;
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

  private final Clock clock;
  private final LoadingCache<String, Bucket> pairs = buckets(6, Duration.ofMinutes(1));
  private final LoadingCache<String, Bucket> addresses = buckets(30, Duration.ofSeconds(10));
  private final LoadingCache<String, Bucket> names = buckets(60, Duration.ofSeconds(30));
  private final Cache<String, Boolean> known =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(Duration.ofDays(30)).build();

  SignInGuard(Clock clock) {
    this.clock = clock;
  }

  /** A try more for each time that has passed, up to a number. */
  private LoadingCache<String, Bucket> buckets(int tries, Duration each) {
    return Caffeine.newBuilder()
        .maximumSize(MOST_KEPT)
        .expireAfterAccess(Duration.ofHours(2))
        .build(
            key ->
                Bucket.builder()
                    .addLimit(limit -> limit.capacity(tries).refillGreedy(1, each))
                    .withCustomTimePrecision(new ClockMeter())
                    .build());
  }

  /**
   * Counts a try.
   *
   * @return how long to wait before the next one; empty when this one may be made
   */
  Optional<Duration> attempt(String name, String address) {
    String pair = pair(name, address);
    Stream<Bucket> all =
        known.getIfPresent(pair) != null
            ? Stream.of(pairs.get(pair), addresses.get(address))
            : Stream.of(pairs.get(pair), addresses.get(address), names.get(normal(name)));
    long wait =
        all.mapToLong(b -> b.tryConsumeAndReturnRemaining(1).getNanosToWaitForRefill())
            .max()
            .orElse(0);
    return wait == 0 ? Optional.empty() : Optional.of(Duration.ofNanos(wait));
  }

  /** The try succeeded: it does not count, and the address is known from now on. */
  void succeeded(String name, String address) {
    String pair = pair(name, address);
    known.put(pair, true);
    pairs.invalidate(pair);
    addresses.get(address).addTokens(1);
    names.get(normal(name)).addTokens(1);
  }

  private static String pair(String name, String address) {
    return address + " " + normal(name);
  }

  private static String normal(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }

  /** Bucket4j's time from our clock. */
  private final class ClockMeter implements TimeMeter {
    @Override
    public long currentTimeNanos() {
      return Duration.between(java.time.Instant.EPOCH, clock.instant()).toNanos();
    }

    @Override
    public boolean isWallClockBased() {
      return true;
    }
  }
}
