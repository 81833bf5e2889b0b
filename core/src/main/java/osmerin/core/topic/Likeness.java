package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.Membership;
import osmerin.core.keyword.PageAddress;
import osmerin.core.text.Stems;
import osmerin.core.text.WordNumbers;

/**
 * How alike groups are: the cosine of their words and the cosine of the sites that rank for them,
 * both weighted by rarity (tf · idf), in equal parts; words alone where no sites are known. Each
 * group keeps only its nearest neighbours, found through an index that leaves out the commonest
 * features, so the cost stays near-linear.
 */
final class Likeness {
  private static final int NEIGHBOURS = 8;
  private static final int MOST_GROUPS_OF_A_FEATURE = 1_000;

  /** For each group its neighbours and how alike they are, symmetric, 0–1. */
  private final List<Map<Integer, Double>> neighbours = new ArrayList<>();

  Likeness(List<KeywordGroup> groups, Stems stems) {
    Vectors words = new Vectors(groups.stream().map(g -> words(g, stems)).toList());
    Vectors sites = new Vectors(groups.stream().map(Likeness::sites).toList());
    groups.forEach(g -> neighbours.add(new TreeMap<>()));
    double[] byWords = new double[groups.size()];
    double[] bySites = new double[groups.size()];
    int[] touched = new int[groups.size()];
    boolean[] seen = new boolean[groups.size()];
    for (int i = 0; i < groups.size(); i++) {
      int n = words.addCosines(i, byWords, touched, 0, seen);
      n = sites.addCosines(i, bySites, touched, n, seen);
      double[] likeness = new double[n];
      for (int k = 0; k < n; k++) {
        int j = touched[k];
        boolean sitesKnown = !sites.isEmpty(i) && !sites.isEmpty(j);
        likeness[k] = (sitesKnown ? byWords[j] / 2 : byWords[j]) + bySites[j] / 2;
        byWords[j] = 0;
        bySites[j] = 0;
        seen[j] = false;
      }
      keepNearest(i, touched, likeness);
    }
  }

  Map<Integer, Double> of(int group) {
    return neighbours.get(group);
  }

  private void keepNearest(int i, int[] others, double[] likeness) {
    IntStream.range(0, likeness.length)
        .boxed()
        .sorted(
            Comparator.<Integer>comparingDouble(k -> -likeness[k]).thenComparing(k -> others[k]))
        .limit(NEIGHBOURS)
        .forEach(
            k -> {
              neighbours.get(i).put(others[k], likeness[k]);
              neighbours.get(others[k]).put(i, likeness[k]);
            });
  }

  private static Map<String, Double> words(KeywordGroup group, Stems stems) {
    Map<String, Double> counts = new HashMap<>();
    for (Membership member : group.members()) {
      stems.subject(member.keyword().text()).forEach(stem -> counts.merge(stem, 1.0, Double::sum));
    }
    return counts;
  }

  private static Map<String, Double> sites(KeywordGroup group) {
    Map<String, Double> counts = new HashMap<>();
    for (Membership member : group.members()) {
      for (PageAddress page : member.keyword().pages()) {
        counts.merge(page.host(), 1.0, Double::sum);
      }
    }
    return counts;
  }

  /**
   * Unit vectors weighted by idf = ln(1 + groups / groups with the feature). Features are numbered
   * by their spelling, so that sums do not depend on the order of the groups' own parts.
   */
  private static final class Vectors {
    private final int[][] features;
    private final double[][] weights;
    private final int[][] groupsOf;
    private final double[][] weightsOf;

    Vectors(List<Map<String, Double>> counts) {
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

    /**
     * Adds a group's cosines with all others that share a feature with it.
     *
     * @param touched the others met so far, of which there are {@code n}; new ones are added
     * @return how many are met now
     */
    int addCosines(int group, double[] sums, int[] touched, int n, boolean[] seen) {
      int met = n;
      for (int k = 0; k < features[group].length; k++) {
        int f = features[group][k];
        for (int at = 0; at < groupsOf[f].length; at++) {
          int other = groupsOf[f][at];
          if (other != group) {
            sums[other] += weights[group][k] * weightsOf[f][at];
            if (!seen[other]) {
              seen[other] = true;
              touched[met++] = other;
            }
          }
        }
      }
      return met;
    }
  }
}
