package osmerin.app.plan;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import osmerin.app.rounds.PlannedRound;
import osmerin.core.pace.Pace;

/**
 * A month as it stands today.
 *
 * @param rounds what went live or is to be published in it, by day
 */
public record Month(
    YearMonth month, LocalDate today, List<PlannedRound> rounds, Pace newArticles, Pace refreshes) {

  /** Whether today lies in it. */
  public boolean isNow() {
    return YearMonth.from(today).equals(month);
  }

  /** Articles still needed for both targets. */
  public int missing() {
    return newArticles.missing() + refreshes.missing();
  }
}
