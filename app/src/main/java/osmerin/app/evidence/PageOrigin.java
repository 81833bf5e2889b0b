package osmerin.app.evidence;

/** Where a page of evidence comes from. */
public enum PageOrigin {
  SEARCH("from the search service"),
  PASTED("pasted"),
  FILE("uploaded"),
  ADDRESS("fetched by address");

  private final String label;

  PageOrigin(String label) {
    this.label = label;
  }

  /** In words: "pasted". */
  public String label() {
    return label;
  }

  /** Whether a person brought it, so that fetching again does not replace it. */
  public boolean isByHand() {
    return this != SEARCH;
  }
}
