package osmerin.app.platform.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class AskGuardTest {
  private Instant now = Instant.parse("2026-05-04T09:00:00Z");
  private final AskGuard guard =
      new AskGuard(
          new Clock() {
            @Override
            public ZoneOffset getZone() {
              return ZoneOffset.UTC;
            }

            @Override
            public Clock withZone(java.time.ZoneId zone) {
              return this;
            }

            @Override
            public Instant instant() {
              return now;
            }
          });

  @Test
  void codesAreTriedEightTimesFromAnAddressThenSlowly() {
    for (int i = 0; i < 8; i++) {
      assertThat(guard.tryCodeFrom("192.0.2.1")).isEmpty();
    }
    assertThat(guard.tryCodeFrom("192.0.2.1")).isPresent();
    assertThat(guard.tryCodeFrom("192.0.2.2")).isEmpty();
    now = now.plus(Duration.ofSeconds(30));
    assertThat(guard.tryCodeFrom("192.0.2.1")).isEmpty();
    assertThat(guard.tryCodeFrom("192.0.2.1")).isPresent();
  }

  @Test
  void manyAddressesTogetherAreSlowedToo() {
    int let = 0;
    for (int i = 0; i < 1_000; i++) {
      let += guard.tryCodeFrom("192.0.2." + i).isEmpty() ? 1 : 0;
    }
    assertThat(let).isEqualTo(60);
  }

  @Test
  void aNameHasThreeLinksAndOneMoreInTwentyMinutes() {
    for (int i = 0; i < 3; i++) {
      assertThat(guard.mayHaveLink(" Una")).isTrue();
    }
    assertThat(guard.mayHaveLink("una ")).isFalse();
    assertThat(guard.mayHaveLink("per")).isTrue();
    now = now.plus(Duration.ofMinutes(20));
    assertThat(guard.mayHaveLink("una")).isTrue();
  }
}
