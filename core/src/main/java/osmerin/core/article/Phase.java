package osmerin.core.article;

/** What a stage means for the plan. */
public enum Phase {
  /** Not begun. */
  TO_COME,
  IN_HAND,
  /** Nothing left to do but wait for its hour: never late. */
  SET,
  LIVE,
  ENDED;

  /** Whether people still have work with it before it is published. */
  public boolean isInWork() {
    return this == TO_COME || this == IN_HAND || this == SET;
  }
}
