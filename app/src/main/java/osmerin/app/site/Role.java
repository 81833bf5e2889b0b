package osmerin.app.site;

import java.util.List;

/** What a person is on a site; each may do what those before it may, and more. */
public enum Role {
  /** Has no account: works on single articles through links. */
  GUEST("Guest"),
  WRITER("Writer"),
  EDITOR("Editor"),
  STRATEGIST("Strategist"),
  OWNER("Owner");

  /** Those that people who sign in can have. */
  public static final List<Role> WITH_ACCOUNT = List.of(WRITER, EDITOR, STRATEGIST, OWNER);

  private final String label;

  Role(String label) {
    this.label = label;
  }

  /** Whether whoever is this may do what another role may. */
  public boolean isGiven(Role least) {
    return compareTo(least) >= 0;
  }

  /** "an editor, a strategist or an owner": this one and those above it. */
  public String from() {
    return switch (this) {
      case OWNER -> "an owner";
      case STRATEGIST -> "a strategist or an owner";
      case EDITOR -> "an editor, a strategist or an owner";
      case WRITER, GUEST -> "anybody";
    };
  }

  /** The name people see. */
  public String label() {
    return label;
  }
}
