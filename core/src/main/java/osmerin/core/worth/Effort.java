package osmerin.core.worth;

import org.jspecify.annotations.Nullable;

/**
 * How many hours an article takes: its run-up, with the writing in proportion to the words to be
 * written where they are known.
 *
 * @param runUp hours of all steps, above 0
 * @param writing hours of the writing among them, from 0 to {@code runUp}
 * @param wordsAnHour that are written, above 0
 */
public record Effort(double runUp, double writing, double wordsAnHour) {
  /** What a writer who knows the subject writes, until a site says otherwise. */
  public static final int SHIPPED_WORDS_AN_HOUR = 250;

  public Effort {
    if (!(runUp > 0) || !(writing >= 0 && writing <= runUp) || !(wordsAnHour > 0)) {
      throw new IllegalArgumentException(
          "no effort: %s hours, %s of them writing, %s words an hour"
              .formatted(runUp, writing, wordsAnHour));
    }
  }

  /** So many hours, whatever is to be written. */
  public static Effort of(double hours) {
    return new Effort(hours, 0, SHIPPED_WORDS_AN_HOUR);
  }

  /**
   * Hours of work.
   *
   * @param wordTarget words to be written, null when no evidence tells; then the run-up counts
   */
  public double hours(@Nullable Integer wordTarget) {
    return wordTarget == null || writing == 0 ? runUp : runUp - writing + wordTarget / wordsAnHour;
  }
}
