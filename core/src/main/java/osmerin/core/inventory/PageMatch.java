package osmerin.core.inventory;

/**
 * A group that a page may answer.
 *
 * @param group the caller's key of it
 * @param basis what speaks for it
 * @param sure 0–1
 * @param keywords of the group for which the page ranks; 0 when words or meaning decide
 * @param best the best of its places there, from 1; 0 when words or meaning decide
 */
public record PageMatch(String group, Basis basis, double sure, int keywords, int best) {
  /** What speaks for a match. */
  public enum Basis {
    /** The page is among the ranking pages of the group's keywords. */
    PAGES,
    /** The title means much what the group's name means. */
    MEANING,
    /** The title has the words of the group. */
    WORDS
  }
}
