package osmerin.app.platform.security;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.TimeMeter;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** Counts tries for each key; the counts drain away with time. */
final class Throttle {
  private static final int MOST_KEPT = 100_000;

  private final LoadingCache<String, Bucket> buckets;

  /**
   * @param tries that may be made at once
   * @param each after which one more may be made
   */
  Throttle(Clock clock, int tries, Duration each) {
    buckets =
        Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterAccess(Duration.ofHours(2))
            .build(
                key ->
                    Bucket.builder()
                        .addLimit(limit -> limit.capacity(tries).refillGreedy(1, each))
                        .withCustomTimePrecision(new ClockMeter(clock))
                        .build());
  }

  /**
   * Counts a try.
   *
   * @return how long to wait before the next one; empty when this one may be made
   */
  Optional<Duration> attempt(String key) {
    long wait = buckets.get(key).tryConsumeAndReturnRemaining(1).getNanosToWaitForRefill();
    return wait == 0 ? Optional.empty() : Optional.of(Duration.ofNanos(wait));
  }

  /** A try that does not count after all. */
  void giveBack(String key) {
    buckets.get(key).addTokens(1);
  }

  /** Counts from nothing again. */
  void forget(String key) {
    buckets.invalidate(key);
  }

  /** Bucket4j's time from our clock. */
  private record ClockMeter(Clock clock) implements TimeMeter {
    @Override
    public long currentTimeNanos() {
      return Duration.between(Instant.EPOCH, clock.instant()).toNanos();
    }

    @Override
    public boolean isWallClockBased() {
      return true;
    }
  }
}
