package osmerin.core.meaning;

import java.util.Collection;
import java.util.Map;
import osmerin.core.text.Language;

/**
 * Turns texts into vectors that lie the nearer, the nearer their meaning is. What it gives for a
 * text depends on that text only.
 */
public interface Meaning {
  /** Names the model; vectors of different models are never compared. */
  String model();

  /** Whether it understands texts of a language. */
  boolean knows(Language language);

  /**
   * The vectors of texts, each of length 1 and of the same number of dimensions. May take long.
   *
   * @param texts each once, not empty
   */
  Map<String, float[]> vectors(Collection<String> texts);
}
