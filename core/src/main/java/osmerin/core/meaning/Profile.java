package osmerin.core.meaning;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * What of a phrase is compared, or the sum of that of several phrases: its meaning, unless that is
 * not understood, and its spelling. The nearness of two phrases is the product of their profiles;
 * since products of sums are sums of products, sums of profiles give mean nearness of many.
 *
 * @param meaning centred on what is usual and weighed; null when it is not understood
 * @param trigrams of its words, ascending
 * @param weights of the trigrams
 * @param phrases how many are summed up
 */
public record Profile(float @Nullable [] meaning, long[] trigrams, float[] weights, int phrases) {
  /** Of no phrase at all. */
  public static final Profile NOTHING = new Profile(null, new long[0], new float[0], 0);

  /** The mean nearness of the phrases of one with those of the other. */
  public double mean(Profile other) {
    return product(other) / ((double) phrases * other.phrases);
  }

  /** The sum of the nearness of each phrase of one with each of the other. */
  public double product(Profile other) {
    return meant(other) + spelled(other);
  }

  /** The part of the product that is meaning; 0 when either is not understood. */
  double meant(Profile other) {
    return meaning == null || other.meaning == null ? 0 : dot(meaning, other.meaning);
  }

  /** The part of the product that is spelling. */
  double spelled(Profile other) {
    double sum = 0;
    for (int i = 0, j = 0; i < trigrams.length && j < other.trigrams.length; ) {
      if (trigrams[i] == other.trigrams[j]) {
        sum += (double) weights[i++] * other.weights[j++];
      } else if (trigrams[i] < other.trigrams[j]) {
        i++;
      } else {
        j++;
      }
    }
    return sum;
  }

  /** Four sums side by side, since each addition waits for the one before it. */
  private static double dot(float[] a, float[] b) {
    int all = Math.min(a.length, b.length);
    int whole = all - all % 4;
    float s0 = 0;
    float s1 = 0;
    float s2 = 0;
    float s3 = 0;
    for (int k = 0; k < whole; k += 4) {
      s0 = Math.fma(a[k], b[k], s0);
      s1 = Math.fma(a[k + 1], b[k + 1], s1);
      s2 = Math.fma(a[k + 2], b[k + 2], s2);
      s3 = Math.fma(a[k + 3], b[k + 3], s3);
    }
    for (int k = whole; k < all; k++) {
      s0 = Math.fma(a[k], b[k], s0);
    }
    return (double) s0 + s1 + s2 + s3;
  }

  /** The same, scaled so that its product with itself is 1. */
  public Profile unit() {
    double length = Math.sqrt(product(this));
    return length == 0 ? this : scaled((float) (1 / length));
  }

  private Profile scaled(float by) {
    float[] scaledMeaning = meaning == null ? null : meaning.clone();
    for (int k = 0; scaledMeaning != null && k < scaledMeaning.length; k++) {
      scaledMeaning[k] *= by;
    }
    float[] scaledWeights = weights.clone();
    for (int k = 0; k < scaledWeights.length; k++) {
      scaledWeights[k] *= by;
    }
    return new Profile(scaledMeaning, trigrams, scaledWeights, 1);
  }

  /** The sum of two. */
  public Profile plus(Profile other) {
    int n = trigrams.length + other.trigrams.length;
    long[] all = new long[n];
    float[] sums = new float[n];
    int size = 0;
    for (int i = 0, j = 0; i < trigrams.length || j < other.trigrams.length; size++) {
      boolean mine = j == other.trigrams.length;
      boolean theirs = i == trigrams.length;
      if (!mine && !theirs) {
        mine = trigrams[i] <= other.trigrams[j];
        theirs = other.trigrams[j] <= trigrams[i];
      }
      all[size] = mine ? trigrams[i] : other.trigrams[j];
      sums[size] = (mine ? weights[i++] : 0) + (theirs ? other.weights[j++] : 0);
    }
    return new Profile(
        sum(meaning, other.meaning),
        Arrays.copyOf(all, size),
        Arrays.copyOf(sums, size),
        phrases + other.phrases);
  }

  private static float @Nullable [] sum(float @Nullable [] a, float @Nullable [] b) {
    if (a == null || b == null) {
      return a == null ? b : a;
    }
    float[] sum = new float[a.length];
    for (int k = 0; k < sum.length; k++) {
      sum[k] = a[k] + b[k];
    }
    return sum;
  }
}
