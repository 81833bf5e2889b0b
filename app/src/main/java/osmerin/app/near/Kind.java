package osmerin.app.near;

/** What a text belongs to. */
public enum Kind {
  ARTICLE("Article"),
  PITCH("Pitch"),
  GROUP("Group");

  private final String label;

  Kind(String label) {
    this.label = label;
  }

  /** In words, for people. */
  public String label() {
    return label;
  }
}
