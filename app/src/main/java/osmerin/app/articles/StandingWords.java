package osmerin.app.articles;

import osmerin.app.platform.web.In;
import osmerin.core.article.Standing;
import osmerin.core.text.Counted;

/**
 * How an article stands, in words and in a tone, for templates: {@code standing.words(planned)}.
 */
public final class StandingWords {
  private static final String LATE = "late";

  /**
   * "3 days", "1 day late", "0 days, at risk", "set for Tue 8 Dec", "impossible, earliest Fri 4
   * Dec".
   */
  public static String words(PlannedRound planned) {
    Standing standing = planned.standing();
    return switch (standing.state()) {
      case LIVE -> "live";
      case ENDED -> "retired";
      case SET ->
          planned.round().publishDate() == null
              ? "ready, no date"
              : "set for " + In.day(planned.round().publishDate());
      case NOT_PUBLISHED -> "not published";
      case NO_DATE -> "no date";
      case IMPOSSIBLE -> "impossible, earliest " + In.day(standing.earliest());
      case LATE -> Counted.of(standing.days(), "day") + " late";
      case AT_RISK -> Counted.of(standing.days(), "day") + ", at risk";
      case ON_COURSE -> Counted.of(standing.days(), "day");
    };
  }

  /** A class for the words and the mark: late, risk, quiet or none. */
  public static String tone(PlannedRound planned) {
    if (planned.round().publication().failure() != null) {
      return LATE;
    }
    return switch (planned.standing().state()) {
      case NOT_PUBLISHED, IMPOSSIBLE, LATE -> LATE;
      case AT_RISK -> "risk";
      case LIVE, ENDED, SET, NO_DATE -> "quiet";
      case ON_COURSE -> "plain";
    };
  }

  /** A sentence when its publish date cannot be kept, with a space before it; else nothing. */
  public static String warning(PlannedRound planned) {
    if (planned.standing().state() != Standing.State.IMPOSSIBLE) {
      return "";
    }
    return " It cannot be published on %s; the earliest possible date is %s."
        .formatted(In.day(planned.round().publishDate()), In.day(planned.standing().earliest()));
  }
}
