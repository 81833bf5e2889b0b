package osmerin.core.meaning;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import osmerin.core.text.Language;

/**
 * Made vectors: each word has a direction of its own, chosen by its letters or given with others,
 * and a text lies in the middle of its words.
 */
public final class MadeMeaning implements Meaning {
  private static final int DIMENSIONS = 24;

  private final Map<String, String> same;
  private final Set<String> asked = new HashSet<>();

  /**
   * @param same words that mean the same as others
   */
  public MadeMeaning(Map<String, String> same) {
    this.same = same;
  }

  @Override
  public String model() {
    return "made";
  }

  @Override
  public boolean knows(Language language) {
    return language == Language.ENGLISH;
  }

  @Override
  public Map<String, float[]> vectors(Collection<String> texts) {
    asked.addAll(texts);
    Map<String, float[]> vectors = new HashMap<>();
    texts.forEach(text -> vectors.put(text, vector(text)));
    return vectors;
  }

  /** All texts whose vectors were asked for. */
  public Set<String> asked() {
    return asked;
  }

  private float[] vector(String text) {
    double[] sum = new double[DIMENSIONS];
    for (String word : text.split(" ")) {
      Random random = new Random(same.getOrDefault(word, word).hashCode() * 31L);
      for (int k = 0; k < DIMENSIONS; k++) {
        sum[k] += random.nextGaussian();
      }
    }
    double squares = 0;
    for (double x : sum) {
      squares += x * x;
    }
    float[] vector = new float[DIMENSIONS];
    for (int k = 0; k < DIMENSIONS; k++) {
      vector[k] = (float) (sum[k] / Math.sqrt(squares));
    }
    return vector;
  }
}
