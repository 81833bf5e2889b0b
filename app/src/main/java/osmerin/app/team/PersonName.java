package osmerin.app.team;

import java.util.Optional;
import osmerin.core.text.PlainText;

/** What people may be called. */
public final class PersonName {
  static final int LONGEST = 100;

  private PersonName() {}

  /** What is wrong with a name, and what to do about it; empty when it will do. */
  public static Optional<String> fault(String typed) {
    String name = typed.strip();
    if (name.isEmpty()) {
      return Optional.of("Type a name.");
    }
    if (name.length() > LONGEST) {
      return Optional.of(
          "A name has at most " + LONGEST + " characters; this has " + name.length() + ".");
    }
    return PlainText.isPlain(name)
        ? Optional.empty()
        : Optional.of(
            "A name has only characters that can be seen. Type it instead of pasting it.");
  }
}
