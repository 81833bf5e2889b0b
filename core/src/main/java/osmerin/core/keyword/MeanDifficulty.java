package osmerin.core.keyword;

import org.jspecify.annotations.Nullable;

/**
 * The mean of known difficulties weighted by searches. What has a difficulty and unknown searches
 * weighs nothing; where none have any searches, all count the same.
 */
public final class MeanDifficulty {
  private double sum;
  private double weights;
  private double plain;
  private int count;

  /**
   * @param difficulty 0–100, null when unknown
   * @param searches a month, null when unknown
   */
  public void add(@Nullable Number difficulty, @Nullable Long searches) {
    if (difficulty != null) {
      double weight = searches == null ? 0 : searches;
      sum += weight * difficulty.doubleValue();
      weights += weight;
      plain += difficulty.doubleValue();
      count++;
    }
  }

  /** 0–100, null when no difficulty is known. */
  public @Nullable Double value() {
    if (count == 0) {
      return null;
    }
    return weights > 0 ? sum / weights : plain / count;
  }
}
