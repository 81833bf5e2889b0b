package osmerin.app.rounds;

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
      case SET -> setFor(planned.round());
      case ON_HOLD -> "on hold";
      case NOT_PUBLISHED -> "not published";
      case NO_DATE -> "no date";
      case IMPOSSIBLE -> "impossible, earliest " + In.day(standing.earliest());
      case LATE -> Counted.of(standing.days(), "day") + " late";
      case AT_RISK -> Counted.of(standing.days(), "day") + ", at risk";
      case ON_COURSE -> Counted.of(standing.days(), "day");
    };
  }

  /** The same where no column says that days are slack: "slack 3 days". */
  public static String sentence(PlannedRound planned) {
    return switch (planned.standing().state()) {
      case ON_COURSE, AT_RISK -> "slack " + words(planned);
      default -> words(planned);
    };
  }

  /** Only at an hour it is published by itself. */
  private static String setFor(Round round) {
    if (round.publishDate() == null) {
      return "ready, no date";
    }
    return round.publication().hour() == null
        ? "ready, to be published by hand"
        : "set for %s, %s".formatted(In.day(round.publishDate()), round.publication().hour());
  }

  /** A class for the words and the mark: late, risk, quiet or none. */
  public static String tone(PlannedRound planned) {
    if (planned.round().publication().failure() != null) {
      return LATE;
    }
    return switch (planned.standing().state()) {
      case NOT_PUBLISHED, IMPOSSIBLE, LATE -> LATE;
      case AT_RISK -> "risk";
      case LIVE, ENDED, SET, NO_DATE, ON_HOLD -> "quiet";
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
