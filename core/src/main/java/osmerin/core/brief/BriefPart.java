package osmerin.core.brief;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A part of a brief besides its title, keywords and outline. Each can be switched on or off for an
 * article type and for one brief.
 */
public enum BriefPart {
  READER("Reader", "Who reads this, and what do they know already?"),
  INTENT("Intent", "What do they want to know or do when they search for this?"),
  FUNNEL_STAGE(
      "Funnel stage", "Awareness, consideration or decision, and what comes before and after?"),
  PURPOSE("Purpose", "What should this article do for the site?"),
  ANGLE("Angle", "What makes this article different from the ten that rank, and why this one?"),
  POINTS("Points to cover", "What must this article say? One point per line."),
  OWN_POINTS(
      "Points nobody else makes",
      "What have only we: a test of our own, a number, an expert, a counter-example?"),
  TERMS("Terms", "Your own terms, one per line. Those of the ranking pages are added."),
  LENGTH("Length", ""),
  LINKS("Links", "Which articles to link to, and which should link here? One per line."),
  CALL_TO_ACTION("Call to action", "What should the reader do next?"),
  VOICE("Voice and products", "How it should sound, and how to speak of our products."),
  PICTURES("Pictures wanted", "What each picture shows, its text, a reference. One per line."),
  SOURCES("Sources", "Where the facts come from. One per line."),
  DESCRIPTION("Description", "The text under the title in search results, about 150 characters."),
  SLUG("Slug", "The end of its address: words-like-these"),
  QUESTIONS("Questions to ask", "What to ask an expert. One per line."),
  DEADLINE("Deadline", ""),
  NOTES("Notes", "Anything else the writer needs.");

  /** Those that are on for a new article type: what hardly any brief can do without. */
  public static final Set<BriefPart> SHIPPED =
      Set.copyOf(EnumSet.of(READER, ANGLE, OWN_POINTS, TERMS, LENGTH, LINKS, DEADLINE));

  private final String label;
  private final String prompt;

  BriefPart(String label, String prompt) {
    this.label = label;
    this.prompt = prompt;
  }

  /** "Points nobody else makes". */
  public String label() {
    return label;
  }

  /** As it is missing: "the reader", "points nobody else makes". */
  public String wanted() {
    String small = label.substring(0, 1).toLowerCase(Locale.ROOT) + label.substring(1);
    return small.endsWith("s") ? small : "the " + small;
  }

  /** What to write there; empty for a part that is drawn from elsewhere. */
  public String prompt() {
    return prompt;
  }

  /** Whether somebody writes it; length and deadline come from elsewhere. */
  public boolean isWritten() {
    return !prompt.isEmpty();
  }

  /** Whether a brief lacks something as long as it is on and empty. */
  public boolean isNeeded() {
    return isWritten() && this != TERMS && this != NOTES;
  }

  /** Parts by their names, in their order, with a space between. */
  public static String names(Set<BriefPart> parts) {
    return Arrays.stream(values())
        .filter(parts::contains)
        .map(BriefPart::name)
        .collect(Collectors.joining(" "));
  }

  /**
   * The parts of those names.
   *
   * @param names with a space between
   * @throws IllegalArgumentException when one is the name of none
   */
  public static Set<BriefPart> named(String names) {
    Set<BriefPart> parts = EnumSet.noneOf(BriefPart.class);
    Arrays.stream(names.split(" "))
        .filter(name -> !name.isEmpty())
        .map(BriefPart::valueOf)
        .forEach(parts::add);
    return parts;
  }
}
