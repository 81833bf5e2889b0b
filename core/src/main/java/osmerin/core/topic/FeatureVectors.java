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

  /** For each telling feature the groups that have it, and how much it weighs there. */
  private final int[][] groupsOf;

  private final double[][] weightsOf;

  /** For each group its features that tell nothing of two. */
  private final int[][] common;

  private final double[][] commonWeights;

  FeatureVectors(List<Map<String, Double>> counts) {
    WordNumbers numbers = new WordNumbers(counts.stream().map(Map::keySet).toList());
    features = new int[counts.size()][];
    weights = new double[counts.size()][];
    for (int i = 0; i < features.length; i++) {
      features[i] = numbers.of(counts.get(i).keySet());
      weights[i] = unit(counts.get(i), numbers, counts.size());
    }
    groupsOf = new int[numbers.size()][];
    weightsOf = new double[numbers.size()][];
    index(numbers);
    common = new int[features.length][];
    commonWeights = new double[features.length][];
    for (int i = 0; i < features.length; i++) {
      int[] its = features[i];
      int[] at = IntStream.range(0, its.length).filter(k -> groupsOf[its[k]].length == 0).toArray();
      common[i] = IntStream.of(at).map(k -> its[k]).toArray();
      double[] all = weights[i];
      commonWeights[i] = IntStream.of(at).mapToDouble(k -> all[k]).toArray();
    }
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
    double squares = 0;
    for (double weight : vector) {
      squares += weight * weight;
    }
    double norm = Math.sqrt(squares);
    for (int k = 0; k < vector.length; k++) {
      vector[k] /= norm;
    }
    return vector;
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
    return features[group].length == 0;
  }

  /** Adds what a group shares with every group, itself among them, by telling features. */
  void share(int group, double[] sums, SharedFeatures shared) {
    for (int k = 0; k < features[group].length; k++) {
      double weight = weights[group][k];
      int[] others = groupsOf[features[group][k]];
      double[] theirs = weightsOf[features[group][k]];
      for (int o = 0; o < others.length; o++) {
        sums[others[o]] += weight * theirs[o];
        shared.touch(others[o]);
      }
    }
  }

  double cosine(int a, int b) {
    return product(features[a], weights[a], features[b], weights[b]);
  }

  /** What two groups share by the commonest features. */
  double common(int a, int b) {
    return product(common[a], commonWeights[a], common[b], commonWeights[b]);
  }

  private static double product(int[] mine, double[] weights, int[] its, double[] itsWeights) {
    double sum = 0;
    for (int i = 0, j = 0; i < mine.length && j < its.length; ) {
      if (mine[i] == its[j]) {
        sum += weights[i++] * itsWeights[j++];
      } else if (mine[i] < its[j]) {
        i++;
      } else {
        j++;
      }
    }
    return sum;
  }
}
