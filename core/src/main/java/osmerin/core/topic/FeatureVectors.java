package osmerin.core.topic;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import osmerin.core.text.WordNumbers;

/**
 * Unit vectors weighted by idf = ln(1 + groups / groups with the feature). Features are numbered by
 * their spelling, so that sums do not depend on the order of the groups' own parts.
 */
final class FeatureVectors {
  private static final int MOST_GROUPS_OF_A_FEATURE = 1_000;

  private final int[][] features;
  private final double[][] weights;

  /** By itself, since it is asked of every pair. */
  private final boolean[] isEmpty;

  /** For each telling feature the groups that have it, and how much it weighs there. */
  private final int[][] groupsOf;

  private final double[][] weightsOf;

  /** For each group its features that tell nothing of two, numbered among these. */
  private final int[][] common;

  private final double[][] commonWeights;
  private final double[] commonLength;
  private final int commons;

  FeatureVectors(List<Map<String, Double>> counts) {
    WordNumbers numbers = new WordNumbers(counts.stream().map(Map::keySet).toList());
    features = new int[counts.size()][];
    weights = new double[counts.size()][];
    isEmpty = new boolean[counts.size()];
    for (int i = 0; i < features.length; i++) {
      isEmpty[i] = counts.get(i).isEmpty();
      features[i] = numbers.of(counts.get(i).keySet());
      weights[i] = unit(counts.get(i), numbers, counts.size());
    }
    groupsOf = new int[numbers.size()][];
    weightsOf = new double[numbers.size()][];
    index(numbers);
    int[] number = new int[numbers.size()];
    int found = 0;
    for (int f = 0; f < number.length; f++) {
      number[f] = groupsOf[f].length == 0 ? found++ : -1;
    }
    commons = found;
    common = new int[features.length][];
    commonWeights = new double[features.length][];
    commonLength = new double[features.length];
    for (int i = 0; i < features.length; i++) {
      keepCommon(i, number);
    }
  }

  private void keepCommon(int group, int[] number) {
    int[] its = features[group];
    int[] at = IntStream.range(0, its.length).filter(k -> number[its[k]] >= 0).toArray();
    common[group] = IntStream.of(at).map(k -> number[its[k]]).toArray();
    commonWeights[group] = IntStream.of(at).mapToDouble(k -> weights[group][k]).toArray();
    commonLength[group] = length(commonWeights[group]);
  }

  private static double[] unit(Map<String, Double> counts, WordNumbers numbers, int groups) {
    double all = counts.values().stream().mapToDouble(Double::doubleValue).sum();
    // In the order of their spelling, which is that of their numbers.
    double[] vector =
        new TreeMap<>(counts)
            .entrySet().stream()
                .mapToDouble(
                    e ->
                        e.getValue()
                            / all
                            * Math.log(1.0 + (double) groups / numbers.frequency(e.getKey())))
                .toArray();
    double norm = length(vector);
    for (int k = 0; k < vector.length; k++) {
      vector[k] /= norm;
    }
    return vector;
  }

  private static double length(double[] vector) {
    double squares = 0;
    for (double weight : vector) {
      squares += weight * weight;
    }
    return Math.sqrt(squares);
  }

  /** Which groups have a feature; one that too many have says nothing of any two. */
  private void index(WordNumbers numbers) {
    int[] filled = new int[numbers.size()];
    for (int f = 0; f < filled.length; f++) {
      boolean tells = numbers.frequency(f) <= MOST_GROUPS_OF_A_FEATURE;
      groupsOf[f] = new int[tells ? numbers.frequency(f) : 0];
      weightsOf[f] = new double[groupsOf[f].length];
    }
    for (int i = 0; i < features.length; i++) {
      for (int k = 0; k < features[i].length; k++) {
        int f = features[i][k];
        if (groupsOf[f].length > 0) {
          groupsOf[f][filled[f]] = i;
          weightsOf[f][filled[f]++] = weights[i][k];
        }
      }
    }
  }

  boolean isEmpty(int group) {
    return isEmpty[group];
  }

  /** Adds what a group shares with every group, itself among them, by telling features. */
  void share(int group, double[] sums, SharedFeatures shared) {
    for (int k = 0; k < features[group].length; k++) {
      double weight = weights[group][k];
      int[] others = groupsOf[features[group][k]];
      double[] theirs = weightsOf[features[group][k]];
      for (int o = 0; o < others.length; o++) {
        int other = others[o];
        double sum = sums[other];
        if (sum == 0) {
          shared.touch(other);
        }
        sums[other] = sum + weight * theirs[o];
      }
    }
  }

  /** How many of the commonest features there are. */
  int commons() {
    return commons;
  }

  /** Lays out what a group weighs by each of the commonest features. */
  void spread(int group, double[] laidOut) {
    for (int k = 0; k < common[group].length; k++) {
      laidOut[common[group][k]] = commonWeights[group][k];
    }
  }

  /** Takes up what {@link #spread} laid out. */
  void gather(int group, double[] laidOut) {
    for (int feature : common[group]) {
      laidOut[feature] = 0;
    }
  }

  /** What a group shares by the commonest features with the one that is laid out. */
  double common(double[] laidOut, int group) {
    double sum = 0;
    int[] its = common[group];
    double[] weight = commonWeights[group];
    for (int k = 0; k < its.length; k++) {
      sum += laidOut[its[k]] * weight[k];
    }
    return sum;
  }

  /** No less than two groups share by the commonest features (Cauchy and Schwarz). */
  double mostCommon(int a, int b) {
    return commonLength[a] * commonLength[b];
  }

  double cosine(int a, int b) {
    int[] mine = features[a];
    int[] its = features[b];
    double sum = 0;
    for (int i = 0, j = 0; i < mine.length && j < its.length; ) {
      int left = mine[i];
      int right = its[j];
      if (left == right) {
        sum += weights[a][i] * weights[b][j];
      }
      i += left <= right ? 1 : 0;
      j += right <= left ? 1 : 0;
    }
    return sum;
  }
}
