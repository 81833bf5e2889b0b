package osmerin.app.platform.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import osmerin.app.support.MovingClock;

class AskGuardTest {
  private final MovingClock clock = new MovingClock();
  private final AskGuard guard = new AskGuard(clock);

  @Test
  void codesAreTriedEightTimesFromAnAddressThenSlowly() {
    for (int i = 0; i < 8; i++) {
      assertThat(guard.tryCodeFrom("192.0.2.1")).isEmpty();
    }
    assertThat(guard.tryCodeFrom("192.0.2.1")).isPresent();
    assertThat(guard.tryCodeFrom("192.0.2.2")).isEmpty();
    clock.pass(Duration.ofSeconds(30));
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
    clock.pass(Duration.ofMinutes(20));
    assertThat(guard.mayHaveLink("una")).isTrue();
  }
}
