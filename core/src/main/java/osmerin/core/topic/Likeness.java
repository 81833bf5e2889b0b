package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.Membership;
import osmerin.core.keyword.PageAddress;
import osmerin.core.text.Stems;

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
    List<Map<String, Double>> words = weighted(groups.stream().map(g -> words(g, stems)).toList());
    List<Map<String, Double>> sites = weighted(groups.stream().map(Likeness::sites).toList());
    groups.forEach(g -> neighbours.add(new TreeMap<>()));
    Map<String, List<Integer>> byWord = index(words);
    Map<String, List<Integer>> bySite = index(sites);
    for (int i = 0; i < groups.size(); i++) {
      keepNearest(i, combined(i, cosines(i, words, byWord), cosines(i, sites, bySite), sites));
    }
  }

  Map<Integer, Double> of(int group) {
    return neighbours.get(group);
  }

  private static Map<Integer, Double> combined(
      int i,
      Map<Integer, Double> byWords,
      Map<Integer, Double> bySites,
      List<Map<String, Double>> sites) {
    Map<Integer, Double> result = new TreeMap<>();
    byWords.forEach(
        (j, likeness) -> {
          boolean sitesKnown = !sites.get(i).isEmpty() && !sites.get(j).isEmpty();
          result.put(j, sitesKnown ? likeness / 2 : likeness);
        });
    bySites.forEach((j, likeness) -> result.merge(j, likeness / 2, Double::sum));
    return result;
  }

  private void keepNearest(int i, Map<Integer, Double> likenesses) {
    likenesses.entrySet().stream()
        .sorted(
            Comparator.<Map.Entry<Integer, Double>>comparingDouble(e -> -e.getValue())
                .thenComparing(Map.Entry::getKey))
        .limit(NEIGHBOURS)
        .forEach(
            e -> {
              neighbours.get(i).put(e.getKey(), e.getValue());
              neighbours.get(e.getKey()).put(i, e.getValue());
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

  /** Turns counts into unit vectors weighted by idf = ln(1 + groups / groups with the feature). */
  private static List<Map<String, Double>> weighted(List<Map<String, Double>> counts) {
    Map<String, Integer> frequency = new HashMap<>();
    counts.forEach(c -> c.keySet().forEach(f -> frequency.merge(f, 1, Integer::sum)));
    List<Map<String, Double>> vectors = new ArrayList<>();
    for (Map<String, Double> count : counts) {
      Map<String, Double> vector = new TreeMap<>();
      double all = count.values().stream().mapToDouble(Double::doubleValue).sum();
      count.forEach(
          (f, n) ->
              vector.put(f, n / all * Math.log(1.0 + (double) counts.size() / frequency.get(f))));
      double norm = Math.sqrt(vector.values().stream().mapToDouble(w -> w * w).sum());
      vector.replaceAll((f, w) -> w / norm);
      vectors.add(vector);
    }
    return vectors;
  }

  private static Map<String, List<Integer>> index(List<Map<String, Double>> vectors) {
    Map<String, List<Integer>> index = new HashMap<>();
    for (int i = 0; i < vectors.size(); i++) {
      for (String feature : vectors.get(i).keySet()) {
        index.computeIfAbsent(feature, f -> new ArrayList<>()).add(i);
      }
    }
    index.values().removeIf(groups -> groups.size() > MOST_GROUPS_OF_A_FEATURE);
    return index;
  }

  private static Map<Integer, Double> cosines(
      int i, List<Map<String, Double>> vectors, Map<String, List<Integer>> index) {
    Map<Integer, Double> result = new TreeMap<>();
    vectors
        .get(i)
        .forEach(
            (feature, weight) -> {
              for (int j : index.getOrDefault(feature, List.of())) {
                if (j != i) {
                  result.merge(j, weight * vectors.get(j).get(feature), Double::sum);
                }
              }
            });
    return result;
  }
}
