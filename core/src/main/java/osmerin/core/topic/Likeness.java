package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.Membership;
import osmerin.core.keyword.PageAddress;
import osmerin.core.meaning.Profile;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;
import osmerin.core.text.WordNumbers;

/**
 * How alike groups are: how near they are in meaning, or the cosine of their words weighted by
 * rarity (tf · idf) where meaning is not understood, and the cosine of the sites that rank for
 * them, in equal parts; without sites where none are known. Groups of different languages are not
 * alike. Each group keeps only its nearest neighbours, found through an index that leaves out the
 * commonest features, so the cost stays near-linear.
 */
final class Likeness {
  private static final int NEIGHBOURS = 8;
  private static final int MOST_GROUPS_OF_A_FEATURE = 1_000;

  /** For each group its neighbours and how alike they are, symmetric, 0–1. */
  private final List<Map<Integer, Double>> neighbours = new ArrayList<>();

  private final Vectors words;
  private final Vectors sites;
  private final Language[] languages;
  private final @Nullable Profile[] meanings;

  Likeness(List<KeywordGroup> groups, Stems stems) {
    this(groups, stems, null);
  }

  /**
   * @param sense null where there is no meaning
   */
  Likeness(List<KeywordGroup> groups, Stems stems, @Nullable GroupSense sense) {
    words = new Vectors(groups.parallelStream().map(g -> words(g, stems)).toList());
    sites = new Vectors(groups.parallelStream().map(Likeness::sites).toList());
    languages = groups.stream().map(g -> g.primary().language()).toArray(Language[]::new);
    meanings = sense == null ? new Profile[languages.length] : sense.profiles();
    groups.forEach(g -> neighbours.add(new TreeMap<>()));
    int[][] near = sense == null ? new int[languages.length][0] : sense.near();
    IntStream.range(0, languages.length)
        .parallel()
        .mapToObj(i -> nearest(i, near[i]))
        .toList()
        .forEach(its -> keep(its.of(), its));
  }

  private Nearest nearest(int i, int[] near) {
    Nearest nearest = new Nearest(i);
    IntStream.concat(IntStream.concat(words.around(i), sites.around(i)), Arrays.stream(near))
        .distinct()
        .filter(j -> j != i)
        .forEach(
            j -> {
              double alike = of(i, j);
              if (alike > 0) {
                nearest.offer(j, alike);
              }
            });
    return nearest;
  }

  /** How alike two groups are, 0–1. */
  double of(int a, int b) {
    if (languages[a] != languages[b]) {
      return 0;
    }
    Profile mine = meanings[a];
    Profile theirs = meanings[b];
    double likeness =
        mine == null || theirs == null ? words.cosine(a, b) : Math.max(0, mine.product(theirs));
    boolean sitesKnown = !sites.isEmpty(a) && !sites.isEmpty(b);
    return sitesKnown ? (likeness + sites.cosine(a, b)) / 2 : likeness;
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
    private final int of;
    private final int[] groups = new int[NEIGHBOURS];
    private final double[] likeness = new double[NEIGHBOURS];
    private int size;

    Nearest(int of) {
      this.of = of;
    }

    int of() {
      return of;
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
      stems
          .subject(member.keyword().text(), member.keyword().language())
          .forEach(stem -> counts.merge(stem, 1.0, Double::sum));
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

    Vectors(List<Map<String, Double>> counts) {
      WordNumbers numbers = new WordNumbers(counts.stream().map(Map::keySet).toList());
      features = new int[counts.size()][];
      weights = new double[counts.size()][];
      for (int i = 0; i < features.length; i++) {
        features[i] = numbers.of(counts.get(i).keySet());
        weights[i] = unit(counts.get(i), numbers, counts.size());
      }
      groupsOf = new int[numbers.size()][];
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
      }
      for (int i = 0; i < features.length; i++) {
        for (int f : features[i]) {
          if (groupsOf[f].length > 0) {
            groupsOf[f][filled[f]++] = i;
          }
        }
      }
    }

    boolean isEmpty(int group) {
      return features[group].length == 0;
    }

    /** The groups that share a telling feature with a group, itself among them. */
    IntStream around(int group) {
      return Arrays.stream(features[group]).flatMap(feature -> Arrays.stream(groupsOf[feature]));
    }

    double cosine(int a, int b) {
      double sum = 0;
      for (int i = 0, j = 0; i < features[a].length && j < features[b].length; ) {
        if (features[a][i] == features[b][j]) {
          sum += weights[a][i++] * weights[b][j++];
        } else if (features[a][i] < features[b][j]) {
          i++;
        } else {
          j++;
        }
      }
      return sum;
    }
  }
}
