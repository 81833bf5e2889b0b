package osmerin.app.site;

/** What a person is on a site; each may do what those before it may, and more. */
public enum Role {
  WRITER("Writer"),
  EDITOR("Editor"),
  STRATEGIST("Strategist"),
  OWNER("Owner");

  private final String label;

  Role(String label) {
    this.label = label;
  }

  /** The name people see. */
  public String label() {
    return label;
  }
}
