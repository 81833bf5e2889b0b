package osmerin.app.runups;

import java.time.LocalDate;

/**
 * How a step of a type is done here.
 *
 * @param key of the step
 * @param text Markdown
 * @param version counts its changes
 */
public record StepGuide(
    String key, String text, LocalDate writtenOn, String writtenBy, int version) {
  /** Longer texts are refused. */
  public static final int LONGEST = 10_000;
}
