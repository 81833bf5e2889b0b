package osmerin.app.platform.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import osmerin.app.support.MovingClock;

class SignInGuardTest {
  private final MovingClock clock = new MovingClock();
  private final SignInGuard guard = new SignInGuard(clock);

  @Test
  void aNameIsSlowedAfterSixTriesFromOneAddress() {
    for (int i = 0; i < 6; i++) {
      assertThat(guard.attempt("una", "10.0.0.1")).isEmpty();
    }
    assertThat(guard.attempt(" UNA ", "10.0.0.1"))
        .hasValueSatisfying(
            wait -> assertThat(wait).isBetween(Duration.ofSeconds(1), Duration.ofMinutes(1)));
    assertThat(guard.attempt("una", "10.0.0.2")).isEmpty();
    assertThat(guard.attempt("odd", "10.0.0.1")).isEmpty();
    clock.pass(Duration.ofMinutes(1));
    assertThat(guard.attempt("una", "10.0.0.1")).isEmpty();
  }

  @Test
  void anAddressThatTriesManyNamesIsSlowed() {
    int allowed = 0;
    for (int i = 0; i < 200; i++) {
      allowed += guard.attempt("name" + i, "10.0.0.1").isEmpty() ? 1 : 0;
    }
    assertThat(allowed).isEqualTo(30);
  }

  @Test
  void aNameTriedFromEverywhereIsSlowedButNotForWhoeverSignedInThereBefore() {
    assertThat(guard.attempt("una", "10.0.0.1")).isEmpty();
    guard.succeeded("una", "10.0.0.1");
    int allowed = 0;
    for (int i = 0; i < 500; i++) {
      allowed += guard.attempt("una", "10.9." + i / 250 + "." + i % 250).isEmpty() ? 1 : 0;
    }
    assertThat(allowed).isEqualTo(60);
    assertThat(guard.attempt("una", "10.0.0.77")).isPresent();
    assertThat(guard.attempt("una", "10.0.0.1")).isEmpty();
    clock.pass(Duration.ofSeconds(31));
    assertThat(guard.attempt("una", "10.0.0.78")).isEmpty();
  }

  @Test
  void signingInForgetsTheTriesBefore() {
    for (int i = 0; i < 5; i++) {
      guard.attempt("una", "10.0.0.1");
    }
    guard.succeeded("una", "10.0.0.1");
    for (int i = 0; i < 6; i++) {
      assertThat(guard.attempt("una", "10.0.0.1")).isEmpty();
    }
  }
}
