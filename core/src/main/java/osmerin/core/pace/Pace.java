package osmerin.core.pace;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.Standing;

/**
 * How a month stands against its target, for new articles or for refreshed ones.
 *
 * @param target articles wanted
 * @param done live within the month
 * @param planned dated today or later in the month, on course or set with no step to do
 * @param atRisk any other dated in the month that can still be published in it
 * @param missing target less all of these, 0 or more
 * @param lost dated in the month, not live, and no longer possible in it
 * @param held dated in the month and on hold, so not promised to it
 * @param expected how many should be live before today, see {@link #of}
 */
public record Pace(
    int target,
    int done,
    int planned,
    int atRisk,
    int missing,
    int lost,
    int held,
    double expected,
    State state) {

  /** The first that holds. */
  public enum State {
    NO_TARGET,
    MET,
    SHORT,
    BEHIND,
    AHEAD,
    LEVEL
  }

  /**
   * Works the pace out. Expected by today are the publish dates before today of the plan as it
   * stood when the month began, and of the rest of the target the share of the month's working days
   * that are past; so neither publishing nor moving changes what is expected.
   *
   * @param articles rounds of one kind; those of other months are passed over
   * @param kept the publish dates of the kind that were kept when the month began; null when none
   *     were, then all of the target is expected by the share of working days
   */
  public static Pace of(
      MonthSoFar month, int target, List<PacedArticle> articles, @Nullable List<LocalDate> kept) {
    if (target < 0) {
      throw new IllegalArgumentException("target " + target + " is below 0");
    }
    Count count = new Count(month.month(), month.today());
    articles.forEach(count::add);
    int missing = Math.max(0, target - count.done - count.planned - count.atRisk);
    double expected = expected(month, target, kept == null ? List.of() : kept);
    State state = state(target, count.done, missing, expected);
    return new Pace(
        target,
        count.done,
        count.planned,
        count.atRisk,
        missing,
        count.lost,
        count.held,
        expected,
        state);
  }

  private static double expected(MonthSoFar month, int target, List<LocalDate> kept) {
    int undated = Math.max(0, target - kept.size());
    long dated = kept.stream().filter(date -> date.isBefore(month.today())).count();
    return dated + undated * month.past();
  }

  private static State state(int target, int done, int missing, double expected) {
    if (target == 0) {
      return State.NO_TARGET;
    }
    if (done >= target) {
      return State.MET;
    }
    if (missing > 0) {
      return State.SHORT;
    }
    if (done < expected - 0.5) {
      return State.BEHIND;
    }
    return done >= expected + 1 ? State.AHEAD : State.LEVEL;
  }

  private static final class Count {
    private final YearMonth month;
    private final LocalDate today;
    private int done;
    private int planned;
    private int atRisk;
    private int lost;
    private int held;

    Count(YearMonth month, LocalDate today) {
      this.month = month;
      this.today = today;
    }

    /** An article that is live belongs to the month it went live in, else to that of its date. */
    void add(PacedArticle article) {
      LocalDate day = article.liveOn() != null ? article.liveOn() : article.publishDate();
      if (day == null || !YearMonth.from(day).equals(month)) {
        return;
      }
      if (article.liveOn() != null) {
        done++;
      } else if (article.standing().state() == Standing.State.ON_HOLD) {
        held++;
      } else if (!day.isBefore(today) && article.standing().state().isOnCourse()) {
        planned++;
      } else if (article.earliest() != null && !article.earliest().isAfter(month.atEndOfMonth())) {
        atRisk++;
      } else {
        lost++;
      }
    }
  }
}
