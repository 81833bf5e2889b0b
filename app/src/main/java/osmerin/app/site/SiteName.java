package osmerin.app.site;

import java.util.Optional;
import osmerin.core.text.PlainText;

/** What a blog may be called. */
public final class SiteName {
  static final int LONGEST = 100;

  private SiteName() {}

  /** What is wrong with a name, and what to do about it; empty when it will do. */
  public static Optional<String> fault(String typed) {
    String name = typed.strip();
    if (name.isEmpty() || name.length() > LONGEST) {
      return Optional.of("Type the name of the blog, at most " + LONGEST + " characters.");
    }
    return PlainText.isPlain(name)
        ? Optional.empty()
        : Optional.of(
            "A name has only characters that can be seen. Type it instead of pasting it.");
  }
}
