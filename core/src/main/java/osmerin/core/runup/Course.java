package osmerin.core.runup;

/** How an article stands against its publish date; the worst that holds. */
public enum Course {
  /** A step cannot be done in time. */
  IMPOSSIBLE,
  /** A due date is before today; or nothing is left to do and the publish date is before today. */
  LATE,
  /** A step can no longer be done by its due date, though still before the last possible day. */
  AT_RISK,
  ON_COURSE
}
