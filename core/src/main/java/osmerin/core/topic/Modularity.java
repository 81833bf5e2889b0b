package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
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
    Graph level = Graph.of(graph);
    while (true) {
      int[] moved = numbered(localMoves(level, resolution));
      int count = Arrays.stream(moved).max().orElse(-1) + 1;
      for (int i = 0; i < result.length; i++) {
        result[i] = moved[result[i]];
      }
      if (count == level.size()) {
        return result;
      }
      level = level.aggregated(moved, count);
    }
  }

  /**
   * A graph in arrays.
   *
   * @param to the neighbours of each node, ascending
   * @param weight of the edges to them
   */
  private record Graph(int[][] to, double[][] weight) {
    static Graph of(List<Map<Integer, Double>> graph) {
      Graph result = new Graph(new int[graph.size()][], new double[graph.size()][]);
      for (int node = 0; node < result.to.length; node++) {
        result.set(node, new TreeMap<>(graph.get(node)));
      }
      return result;
    }

    private void set(int node, SortedMap<Integer, Double> edges) {
      to[node] = edges.keySet().stream().mapToInt(Integer::intValue).toArray();
      weight[node] = edges.values().stream().mapToDouble(Double::doubleValue).toArray();
    }

    int size() {
      return to.length;
    }

    Graph aggregated(int[] community, int count) {
      List<TreeMap<Integer, Double>> edges = new ArrayList<>();
      for (int c = 0; c < count; c++) {
        edges.add(new TreeMap<>());
      }
      for (int i = 0; i < to.length; i++) {
        for (int k = 0; k < to[i].length; k++) {
          edges.get(community[i]).merge(community[to[i][k]], weight[i][k], Double::sum);
        }
      }
      Graph result = new Graph(new int[count][], new double[count][]);
      for (int c = 0; c < count; c++) {
        result.set(c, edges.get(c));
      }
      return result;
    }
  }

  private static int[] localMoves(Graph graph, double resolution) {
    int n = graph.size();
    Moves moves = new Moves(graph);
    boolean improved = moves.twoM > 0;
    for (int round = 0; improved && round < MOST_ROUNDS; round++) {
      improved = false;
      for (int i = 0; i < n; i++) {
        improved |= moves.move(i, resolution);
      }
    }
    return moves.community;
  }

  /** Which node is in which community while they move. */
  private static final class Moves {
    private final Graph graph;
    private final int[] community;
    private final double[] strength;
    private final double[] total;
    private final double[] links;
    private final int[] met;
    private double twoM;

    Moves(Graph graph) {
      this.graph = graph;
      int n = graph.size();
      community = new int[n];
      strength = new double[n];
      links = new double[n];
      met = new int[n + 1];
      for (int i = 0; i < n; i++) {
        community[i] = i;
        strength[i] = Arrays.stream(graph.weight()[i]).sum();
        twoM += strength[i];
      }
      total = strength.clone();
    }

    /** Moves a node to where it gains most; whether it moved. */
    boolean move(int i, double resolution) {
      int own = community[i];
      total[own] -= strength[i];
      int count = meet(i, own);
      double share = resolution * strength[i] / twoM;
      int best = own;
      double most = links[own] - share * total[own];
      for (int at = 0; at < count; at++) {
        double gain = links[met[at]] - share * total[met[at]];
        if (gain > most + 1e-12) {
          best = met[at];
          most = gain;
        }
      }
      for (int at = 0; at < count; at++) {
        links[met[at]] = 0;
      }
      community[i] = best;
      total[best] += strength[i];
      return best != own;
    }

    /** Sums the links of a node to the communities around it, ascending, its own among them. */
    private int meet(int i, int own) {
      int count = 0;
      met[count++] = own;
      for (int k = 0; k < graph.to()[i].length; k++) {
        int other = graph.to()[i][k];
        if (other != i) {
          int its = community[other];
          if (links[its] == 0 && its != own) {
            met[count++] = its;
          }
          links[its] += graph.weight()[i][k];
        }
      }
      Arrays.sort(met, 0, count);
      return count;
    }
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
}
