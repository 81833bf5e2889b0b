package osmerin.core.draft;

import java.util.List;
import osmerin.core.text.Verdict;

/**
 * One line of the draft check.
 *
 * @param figure what was found, in words and numbers
 * @param places where in the draft, when there is something to mend; may be empty
 */
public record CheckResult(Check check, Verdict verdict, String figure, List<Place> places) {
  /** What is checked. */
  public enum Check {
    LENGTH("Length"),
    KEYWORD_IN_TITLE("Keyword in title"),
    KEYWORD_IN_OPENING("Keyword in opening"),
    KEYWORD_IN_HEADING("Keyword in a heading"),
    SECONDARY_KEYWORDS("Secondary keywords"),
    OUTLINE("Outline"),
    HEADING_ORDER("Heading order");

    private final String label;

    Check(String label) {
      this.label = label;
    }

    /** The name people see. */
    public String label() {
      return label;
    }
  }

  /**
   * A place in the draft, or what is missing from it.
   *
   * @param line 1-based; 0 for what is not in the draft
   */
  public record Place(int line, String what) {}

  public CheckResult {
    places = List.copyOf(places);
  }

  static CheckResult of(Check check, Verdict verdict, String figure) {
    return new CheckResult(check, verdict, figure, List.of());
  }
}
