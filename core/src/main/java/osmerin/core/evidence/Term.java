package osmerin.core.evidence;

/**
 * A word or phrase that the ranking pages share.
 *
 * @param phrase 1–4 words in their commonest spelling
 * @param pages how many pages use it
 * @param low lower quartile of its uses for every 1,000 words of the pages that use it
 * @param high upper quartile of the same
 * @param weight how telling it is, for order; above 0
 */
public record Term(String phrase, int pages, double low, double high, double weight) {

  /** At least so many uses in a text of so many words; 1 or more. */
  public int fewest(int words) {
    return (int) Math.max(1, Math.round(low * words / 1000));
  }

  /** At most so many uses. */
  public int most(int words) {
    return (int) Math.max(fewest(words), Math.round(high * words / 1000));
  }
}
