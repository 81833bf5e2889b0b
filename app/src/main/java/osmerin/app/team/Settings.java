package osmerin.app.team;

import org.jspecify.annotations.Nullable;

/**
 * What a person set for themselves.
 *
 * @param mail where notices go, null when none is known
 * @param singleKeys whether single letters work as keys
 */
public record Settings(
    String login, String name, @Nullable String mail, Theme theme, boolean singleKeys) {
  Settings named(String other) {
    return new Settings(login, other, mail, theme, singleKeys);
  }

  /** Light, dark, or as the machine has it. */
  public enum Theme {
    AUTO("as this machine"),
    LIGHT("light"),
    DARK("dark");

    private final String label;

    Theme(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }
}
