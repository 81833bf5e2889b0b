package osmerin.core.evidence;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Vectors without what all of them share. Pages that rank for one keyword lie near each other in
 * all they say; what is left once their mean is taken away tells their sentences apart.
 */
final class Centred {
  /** A mean of so many vectors is half believed; that of two would make them opposites. */
  private static final double FEW = 12;

  private Centred() {}

  /**
   * Each of length 1 again once their mean is taken away.
   *
   * @param vectors null where there is none
   */
  static float @Nullable [][] of(List<float @Nullable []> vectors) {
    int known = (int) vectors.stream().filter(v -> v != null).count();
    double[] mean = null;
    for (float[] vector : vectors) {
      for (int i = 0; vector != null && i < vector.length; i++) {
        mean = mean == null ? new double[vector.length] : mean;
        mean[i] += vector[i] / (known + FEW);
      }
    }
    float[][] centred = new float[vectors.size()][];
    for (int v = 0; v < centred.length; v++) {
      centred[v] = vectors.get(v) == null ? null : unit(vectors.get(v), mean);
    }
    return centred;
  }

  private static float[] unit(float[] vector, double[] mean) {
    float[] unit = new float[vector.length];
    double squares = 0;
    for (int i = 0; i < vector.length; i++) {
      unit[i] = (float) (vector[i] - mean[i]);
      squares += unit[i] * unit[i];
    }
    double norm = Math.sqrt(squares);
    for (int i = 0; i < unit.length && norm > 0; i++) {
      unit[i] = (float) (unit[i] / norm);
    }
    return unit;
  }

  /** The mean of vectors; null of none. */
  static float @Nullable [] mean(List<float[]> vectors) {
    if (vectors.isEmpty()) {
      return null;
    }
    float[] mean = new float[vectors.get(0).length];
    for (float[] vector : vectors) {
      for (int i = 0; i < mean.length; i++) {
        mean[i] += vector[i] / vectors.size();
      }
    }
    return mean;
  }

  /**
   * One vector of two, so that a product of such is the mix of both likenesses.
   *
   * @param share how much of the mix is the second's, 0–1; one without a second has less of it
   */
  static float[][] sideBySide(float[][] first, float @Nullable [][] second, double share) {
    float[][] both = new float[first.length][];
    for (int v = 0; v < both.length; v++) {
      int size = first[v].length;
      both[v] = new float[2 * size];
      for (int i = 0; i < size; i++) {
        both[v][i] = (float) (Math.sqrt(1 - share) * first[v][i]);
        both[v][size + i] = second[v] == null ? 0 : (float) (Math.sqrt(share) * second[v][i]);
      }
    }
    return both;
  }
}
