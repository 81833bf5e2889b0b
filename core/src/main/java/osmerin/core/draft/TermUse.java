package osmerin.core.draft;

import osmerin.core.evidence.Term;

/**
 * How often the draft uses a term, against how often the ranking pages do in a text of that length.
 *
 * @param fewest lower end of the range, 1 or more
 */
public record TermUse(Term term, int uses, int fewest, int most) {
  /** Where the uses stand. */
  public enum Standing {
    ABSENT,
    FEW,
    IN_RANGE,
    MANY
  }

  public Standing standing() {
    if (uses == 0) {
      return Standing.ABSENT;
    }
    if (uses < fewest) {
      return Standing.FEW;
    }
    return uses <= most ? Standing.IN_RANGE : Standing.MANY;
  }

  /** Uses at the right end of a scale that shows the range and the draft beside it. */
  public double scale() {
    return Math.max(most * 1.6, Math.max(uses, 4));
  }
}
