package osmerin.app.team;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * What a password must be: long enough, and neither on the lists of common ones nor made of the
 * person's own name. How easily one is guessed is measured as zxcvbn does (Wheeler, "zxcvbn:
 * low-budget password strength estimation", USENIX Security 2016).
 */
@Component
public class PasswordRules {
  static final int SHORTEST = 10;

  /** BCrypt looks at no more than 72 bytes. */
  static final int LONGEST = 72;

  /** From 0, guessed at once, to 4. */
  private static final int LEAST_SCORE = 2;

  private final Zxcvbn strength = new Zxcvbn();

  /**
   * What is wrong with a password.
   *
   * @param about names and addresses of the person, which make a password easy to guess
   * @return what to do about it; empty when it will do
   */
  public Optional<String> fault(String password, List<String> about) {
    if (password.length() < SHORTEST) {
      return Optional.of("Take at least " + SHORTEST + " characters.");
    }
    if (password.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > LONGEST) {
      return Optional.of("Take at most " + LONGEST + " characters.");
    }
    return strength.measure(password, about).getScore() < LEAST_SCORE
        ? Optional.of("This one is common or easy to guess. Three or four unrelated words do well.")
        : Optional.empty();
  }
}
