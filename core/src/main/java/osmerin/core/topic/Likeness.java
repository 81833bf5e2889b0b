package osmerin.core.topic;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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
    Vectors words = new Vectors(groups.parallelStream().map(g -> words(g, stems)).toList());
    Vectors sites = new Vectors(groups.parallelStream().map(Likeness::sites).toList());
    groups.forEach(g -> neighbours.add(new TreeMap<>()));
    double[] byWords = new double[groups.size()];
    double[] bySites = new double[groups.size()];
    int[] touched = new int[groups.size()];
    boolean[] seen = new boolean[groups.size()];
    boolean[] sitesKnown = new boolean[groups.size()];
    for (int i = 0; i < sitesKnown.length; i++) {
      sitesKnown[i] = !sites.isEmpty(i);
    }
    Nearest nearest = new Nearest();
    for (int i = 0; i < groups.size(); i++) {
      int n = words.addCosines(i, byWords, touched, 0, seen);
      n = sites.addCosines(i, bySites, touched, n, seen);
      nearest.clear();
      for (int k = 0; k < n; k++) {
        int j = touched[k];
        boolean bothKnown = sitesKnown[i] && sitesKnown[j];
        nearest.offer(j, bothKnown ? (byWords[j] + bySites[j]) / 2 : byWords[j]);
        byWords[j] = 0;
        bySites[j] = 0;
        seen[j] = false;
      }
      keep(i, nearest);
    }
  }

  Map<Integer, Double> of(int group) {
    return neighbours.get(group);
  }

  private void keep(int i, Nearest nearest) {
    for (int k = 0; k < nearest.size; k++) {
      neighbours.get(i).put(nearest.groups[k], nearest.likeness[k]);
      neighbours.get(nearest.groups[k]).put(i, nearest.likeness[k]);
    }
  }

  /** The most alike of those offered, the first by number at a tie; only few are ever moved. */
  private static final class Nearest {
    private final int[] groups = new int[NEIGHBOURS];
    private final double[] likeness = new double[NEIGHBOURS];
    private int size;

    void clear() {
      size = 0;
    }

    void offer(int group, double alike) {
      if (size == NEIGHBOURS && !isBefore(group, alike, size - 1)) {
        return;
      }
      int at = size == NEIGHBOURS ? size - 1 : size++;
      while (at > 0 && isBefore(group, alike, at - 1)) {
        groups[at] = groups[at - 1];
        likeness[at] = likeness[at - 1];
        at--;
      }
      groups[at] = group;
      likeness[at] = alike;
    }

    private boolean isBefore(int group, double alike, int at) {
      return alike > likeness[at] || (alike == likeness[at] && group < groups[at]);
    }
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
