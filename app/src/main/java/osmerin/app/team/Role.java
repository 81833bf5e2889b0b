package osmerin.app.team;

/** What a person is on a site. */
public enum Role {
  OWNER("Owner"),
  STRATEGIST("Strategist"),
  EDITOR("Editor"),
  WRITER("Writer");

  private final String label;

  Role(String label) {
    this.label = label;
  }

  /** The name people see. */
  public String label() {
    return label;
  }
}
