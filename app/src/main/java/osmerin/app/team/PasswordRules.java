package osmerin.app.team;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
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

  /** Shorter names are in too many words. */
  private static final int SHORTEST_NAME = 3;

  /** So many letters and digits besides names. */
  private static final int LEAST_OWN = 6;

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
    if (isMadeOf(password, about)) {
      return Optional.of("This one is made of your name or the site's. Take words of your own.");
    }
    return strength.measure(password, about).getScore() < LEAST_SCORE
        ? Optional.of("This one is common or easy to guess. Three or four unrelated words do well.")
        : Optional.empty();
  }

  /**
   * Whether little is left of it without the names, however often and in whatever case they stand.
   */
  private static boolean isMadeOf(String password, List<String> about) {
    String left = password.toLowerCase(Locale.ROOT);
    List<String> names =
        about.stream()
            .flatMap(text -> Arrays.stream(text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")))
            .filter(name -> name.length() >= SHORTEST_NAME)
            .sorted(Comparator.comparingInt(String::length).reversed())
            .toList();
    for (String name : names) {
      left = left.replace(name, " ");
    }
    long own = left.codePoints().filter(Character::isLetterOrDigit).count();
    return own < LEAST_OWN && left.length() < password.length();
  }
}
