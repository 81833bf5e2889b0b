package osmerin.core.evidence;

import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * How long an article should be, in words.
 *
 * @param low lower quartile of the ranking pages, or what a person set
 * @param target their median
 * @param high upper quartile
 */
public record WordRange(int low, int target, int high) {
  public WordRange {
    if (low < 0 || target < low || high < target) {
      throw new IllegalArgumentException(
          "word range " + low + " ≤ " + target + " ≤ " + high + " does not hold");
    }
  }

  /** The target lies in the middle. */
  public static WordRange of(int low, int high) {
    return new WordRange(low, low + (high - low) / 2, high);
  }

  /**
   * Both ends of a range as people type them: "1200", "1,600"; empty when neither is typed.
   *
   * @throws IllegalArgumentException saying what is wrong
   */
  public static Optional<WordRange> read(@Nullable String low, @Nullable String high) {
    String first = low == null ? "" : low.strip();
    String last = high == null ? "" : high.strip();
    if (first.isEmpty() && last.isEmpty()) {
      return Optional.empty();
    }
    if (first.isEmpty() || last.isEmpty()) {
      throw new IllegalArgumentException("Type both ends of the range, or neither.");
    }
    OptionalInt from = number(first);
    OptionalInt to = number(last);
    if (from.isEmpty() || to.isEmpty() || from.getAsInt() > to.getAsInt()) {
      throw new IllegalArgumentException(
          "Type two whole numbers, the smaller first, such as 1200 and 1600.");
    }
    return Optional.of(of(from.getAsInt(), to.getAsInt()));
  }

  private static OptionalInt number(String typed) {
    String digits = typed.replace(",", "");
    return digits.matches("\\d{1,6}")
        ? OptionalInt.of(Integer.parseInt(digits))
        : OptionalInt.empty();
  }

  public boolean contains(int words) {
    return words >= low && words <= high;
  }
}
