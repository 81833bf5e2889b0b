package osmerin.core.article;

/** What a stage means for the plan; in their order. */
public enum Phase {
  /** Not begun. */
  TO_COME("to come"),
  IN_HAND("in hand"),
  /** Nothing left to do but wait for its hour: never late. */
  SET("set"),
  LIVE("live"),
  ENDED("ended");

  private final String label;

  Phase(String label) {
    this.label = label;
  }

  /** The word people see. */
  public String label() {
    return label;
  }

  /** Whether an article in it is on its way to be published. */
  public boolean isInWork() {
    return compareTo(LIVE) < 0;
  }
}
