package osmerin.core.runup;

/** What completes a step. Whatever it is, a person can tick the step off by hand too. */
public enum Completion {
  HAND("by hand"),
  BRIEF_SIGNED_OFF("brief signed off"),
  DRAFT_HANDED_IN("draft handed in"),
  PUBLISHED("published");

  private final String label;

  Completion(String label) {
    this.label = label;
  }

  /** "brief signed off". */
  public String label() {
    return label;
  }
}
