package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Finds communities in a weighted graph by local moving and aggregation (V. D. Blondel and others,
 * "Fast unfolding of communities in large networks", 2008). A node moves to the neighbouring
 * community with the largest gain k(i→C) − k(i) · K(C) / 2m. Nodes are visited in their order and
 * ties fall to the lower community, so the same graph gives the same communities.
 */
final class Modularity {
  private static final int MOST_ROUNDS = 50;

  private Modularity() {}

  /**
   * @param graph for each node its neighbours and positive weights, symmetric
   * @param resolution the more, the smaller the communities (J. Reichardt and S. Bornholdt,
   *     "Statistical mechanics of community detection", 2006); 1 is plain modularity
   * @return for each node the number of its community
   */
  static int[] communities(List<Map<Integer, Double>> graph, double resolution) {
    int[] result = new int[graph.size()];
    Arrays.setAll(result, i -> i);
    List<Map<Integer, Double>> level = graph;
    while (true) {
      int[] moved = numbered(localMoves(level, resolution));
      int count = Arrays.stream(moved).max().orElse(-1) + 1;
      for (int i = 0; i < result.length; i++) {
        result[i] = moved[result[i]];
      }
      if (count == level.size()) {
        return result;
      }
      level = aggregate(level, moved, count);
    }
  }

  private static int[] localMoves(List<Map<Integer, Double>> graph, double resolution) {
    int n = graph.size();
    int[] community = new int[n];
    double[] strength = new double[n];
    double[] total = new double[n];
    double twoM = 0;
    for (int i = 0; i < n; i++) {
      community[i] = i;
      strength[i] = graph.get(i).values().stream().mapToDouble(Double::doubleValue).sum();
      total[i] = strength[i];
      twoM += strength[i];
    }
    boolean improved = twoM > 0;
    for (int round = 0; improved && round < MOST_ROUNDS; round++) {
      improved = false;
      for (int i = 0; i < n; i++) {
        total[community[i]] -= strength[i];
        int best = best(graph.get(i), i, community, total, resolution * strength[i] / twoM);
        improved |= best != community[i];
        community[i] = best;
        total[best] += strength[i];
      }
    }
    return community;
  }

  private static int best(
      Map<Integer, Double> edges, int i, int[] community, double[] total, double share) {
    Map<Integer, Double> links = new TreeMap<>();
    links.put(community[i], 0.0);
    edges.forEach(
        (j, weight) -> {
          if (j != i) {
            links.merge(community[j], weight, Double::sum);
          }
        });
    int best = community[i];
    double bestGain = links.get(best) - share * total[best];
    for (Map.Entry<Integer, Double> link : links.entrySet()) {
      double gain = link.getValue() - share * total[link.getKey()];
      if (gain > bestGain + 1e-12) {
        best = link.getKey();
        bestGain = gain;
      }
    }
    return best;
  }

  private static int[] numbered(int[] community) {
    Map<Integer, Integer> numbers = new HashMap<>();
    return Arrays.stream(community)
        .map(
            c -> {
              numbers.putIfAbsent(c, numbers.size());
              return numbers.get(c);
            })
        .toArray();
  }

  private static List<Map<Integer, Double>> aggregate(
      List<Map<Integer, Double>> graph, int[] community, int count) {
    List<Map<Integer, Double>> result = new ArrayList<>();
    for (int c = 0; c < count; c++) {
      result.add(new TreeMap<>());
    }
    for (int i = 0; i < graph.size(); i++) {
      Map<Integer, Double> edges = result.get(community[i]);
      graph.get(i).forEach((j, weight) -> edges.merge(community[j], weight, Double::sum));
    }
    return result;
  }
}
