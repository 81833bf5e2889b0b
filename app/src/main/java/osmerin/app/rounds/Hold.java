package osmerin.app.rounds;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * Why a round is on hold.
 *
 * @param freeBy who can free it besides editors; null for nobody else
 * @param until when it is to be asked about, null for never
 */
public record Hold(
    String reason, LocalDate since, @Nullable Long freeBy, @Nullable LocalDate until) {
  /** Longer reasons are refused. */
  public static final int LONGEST_REASON = 200;

  /** Whether its day has come. */
  public boolean isAskedAbout(LocalDate today) {
    return until != null && !until.isAfter(today);
  }
}
