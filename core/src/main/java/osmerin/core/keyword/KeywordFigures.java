package osmerin.core.keyword;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/**
 * What a research tool says of a keyword in figures; each is null when unknown.
 *
 * @param volume searches a month
 * @param difficulty 0–100
 * @param costPerClick in the currency of the import, 0 or more
 */
public record KeywordFigures(
    @Nullable Volume volume, @Nullable Integer difficulty, @Nullable BigDecimal costPerClick) {
  public static final KeywordFigures NONE = new KeywordFigures(null, null, null);

  /**
   * @throws IllegalArgumentException when a figure is out of its range
   */
  public KeywordFigures {
    if (difficulty != null && (difficulty < 0 || difficulty > 100)) {
      throw new IllegalArgumentException("difficulty " + difficulty + " is not between 0 and 100");
    }
    if (costPerClick != null && costPerClick.signum() < 0) {
      throw new IllegalArgumentException("cost per click " + costPerClick + " is below zero");
    }
  }

  /** Only the volume is known, or not even that. */
  public static KeywordFigures of(@Nullable Volume volume) {
    return new KeywordFigures(volume, null, null);
  }

  /** These, with the newer ones where there are; no figure never overwrites a figure. */
  public KeywordFigures updatedBy(KeywordFigures newer) {
    return new KeywordFigures(
        newer.volume != null ? newer.volume : volume,
        newer.difficulty != null ? newer.difficulty : difficulty,
        newer.costPerClick != null ? newer.costPerClick : costPerClick);
  }
}
