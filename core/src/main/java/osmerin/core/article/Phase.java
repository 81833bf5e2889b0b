package osmerin.core.article;

/** What a stage means for the plan. */
public enum Phase {
  /** Not begun. */
  TO_COME,
  IN_HAND,
  /** Nothing left to do but wait for its hour: never late. */
  SET,
  LIVE,
  ENDED
}
