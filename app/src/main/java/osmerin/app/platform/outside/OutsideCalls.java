package osmerin.app.platform.outside;

import io.github.resilience4j.circuitbreaker.CircuitBreaker;
import io.github.resilience4j.circuitbreaker.CircuitBreakerConfig;
import io.github.resilience4j.core.IntervalFunction;
import io.github.resilience4j.retry.Retry;
import io.github.resilience4j.retry.RetryConfig;
import java.net.ConnectException;
import java.time.Duration;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.web.client.HttpServerErrorException;
import org.springframework.web.client.ResourceAccessException;

/**
 * Calls of one outside service. What may be repeated is tried three times with growing pauses, when
 * the service was not reached or said that it is busy. A service that fails again and again is left
 * alone for a while, so that nobody waits for it.
 */
public final class OutsideCalls {
  /** How long a failing service is left alone. */
  public static final Duration REST = Duration.ofSeconds(20);

  private static final int FAILURES = 6;
  private static final int TRIES = 3;
  private static final Duration FIRST_PAUSE = Duration.ofMillis(200);
  private static final Set<Integer> BUSY = Set.of(502, 503, 504);

  private final CircuitBreaker breaker;
  private final Retry retry;

  /**
   * @param name of the service, for the log
   */
  public OutsideCalls(String name) {
    breaker =
        CircuitBreaker.of(
            name,
            CircuitBreakerConfig.custom()
                .slidingWindowSize(FAILURES)
                .minimumNumberOfCalls(FAILURES)
                .failureRateThreshold(100)
                .waitDurationInOpenState(REST)
                .permittedNumberOfCallsInHalfOpenState(1)
                .recordException(OutsideCalls::isFailure)
                .build());
    retry =
        Retry.of(
            name,
            RetryConfig.custom()
                .maxAttempts(TRIES)
                .intervalFunction(IntervalFunction.ofExponentialBackoff(FIRST_PAUSE, 3))
                .retryOnException(OutsideCalls::isPassing)
                .build());
  }

  /** Asks once: what a second try could do twice. */
  public <T> T once(Supplier<T> request) {
    return breaker.executeSupplier(request);
  }

  /** Asks again when that can help: what is the same however often it is asked. */
  public <T> T repeated(Supplier<T> request) {
    // Only what fails for good counts as a failure of the service.
    return breaker.executeSupplier(() -> retry.executeSupplier(request));
  }

  private static boolean isFailure(Throwable e) {
    return e instanceof ResourceAccessException || e instanceof HttpServerErrorException;
  }

  private static boolean isPassing(Throwable e) {
    boolean busy =
        e instanceof HttpServerErrorException said && BUSY.contains(said.getStatusCode().value());
    return busy || e instanceof ResourceAccessException && e.getCause() instanceof ConnectException;
  }
}
