package osmerin.core.text;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** The languages whose words Osmerin knows. */
public enum Language {
  ENGLISH("en", "English"),
  GERMAN("de", "German"),
  FRENCH("fr", "French"),
  SPANISH("es", "Spanish"),
  ITALIAN("it", "Italian"),
  PORTUGUESE("pt", "Portuguese"),
  DUTCH("nl", "Dutch");

  private final String tag;
  private final String title;

  Language(String tag, String title) {
    this.tag = tag;
    this.title = title;
  }

  /** By ISO 639-1, in lower case. */
  public String tag() {
    return tag;
  }

  /** Its English name. */
  public String title() {
    return title;
  }

  /** The language of a tag such as "de" or "de-AT"; none when it is another one. */
  public static Optional<Language> ofTag(String tag) {
    String first = tag.strip().toLowerCase(Locale.ROOT).split("[-_]", 2)[0];
    return Stream.of(values()).filter(language -> language.tag.equals(first)).findFirst();
  }
}
