package osmerin.app.platform.outside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.github.resilience4j.circuitbreaker.CallNotPermittedException;
import java.io.IOException;
import java.net.ConnectException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;
import org.springframework.web.client.HttpClientErrorException;
import org.springframework.web.client.HttpServerErrorException;
import org.springframework.web.client.ResourceAccessException;

class OutsideCallsTest {
  private final OutsideCalls calls = new OutsideCalls("test");
  private final AtomicInteger asked = new AtomicInteger();

  @Test
  void whatCanBeRepeatedIsTriedThreeTimesWhenTheServiceIsBusyOrNotReached() {
    assertThat(calls.repeated(failing(2, new HttpServerErrorException(HttpStatus.BAD_GATEWAY))))
        .isEqualTo("done");
    assertThat(asked).hasValue(3);
    asked.set(0);
    assertThat(calls.repeated(failing(2, notReached()))).isEqualTo("done");
    assertThat(asked).hasValue(3);
  }

  @Test
  void aCreateIsNeverTriedTwiceNorIsWhatWillNotChange() {
    assertThatThrownBy(() -> calls.once(failing(1, notReached())))
        .isInstanceOf(ResourceAccessException.class);
    assertThat(asked).hasValue(1);
    asked.set(0);
    HttpClientErrorException refused = new HttpClientErrorException(HttpStatus.BAD_REQUEST);
    assertThatThrownBy(() -> calls.repeated(failing(1, refused))).isSameAs(refused);
    assertThat(asked).hasValue(1);
    asked.set(0);
    ResourceAccessException broke = new ResourceAccessException("broke", new IOException("reset"));
    assertThatThrownBy(() -> calls.repeated(failing(1, broke))).isSameAs(broke);
    assertThat(asked).hasValue(1);
  }

  @Test
  void aServiceThatFailsAgainAndAgainIsLeftAloneAndRefusalsAreNoFailures() {
    HttpClientErrorException refused = new HttpClientErrorException(HttpStatus.UNAUTHORIZED);
    for (int i = 0; i < 10; i++) {
      assertThatThrownBy(() -> calls.once(failing(100, refused))).isSameAs(refused);
    }
    for (int i = 0; i < 6; i++) {
      assertThatThrownBy(() -> calls.once(failing(100, notReached())))
          .isInstanceOf(ResourceAccessException.class);
    }
    asked.set(0);
    assertThatThrownBy(() -> calls.once(failing(100, notReached())))
        .isInstanceOf(CallNotPermittedException.class);
    assertThat(asked).hasValue(0);
  }

  /** One page that is not to be had, asked for three times, would have closed the way to all. */
  @Test
  void whatIsTriedThreeTimesInVainIsOneFailure() {
    for (int i = 0; i < 5; i++) {
      assertThatThrownBy(() -> calls.repeated(failing(100, notReached())))
          .isInstanceOf(ResourceAccessException.class);
    }
    asked.set(100);
    assertThat(calls.repeated(failing(100, notReached()))).isEqualTo("done");
  }

  private static ResourceAccessException notReached() {
    return new ResourceAccessException("down", new ConnectException("refused"));
  }

  private Supplier<String> failing(int times, RuntimeException with) {
    return () -> {
      if (asked.incrementAndGet() <= times) {
        throw with;
      }
      return "done";
    };
  }
}
