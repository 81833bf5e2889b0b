package osmerin.core.topic;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ModularityTest {
  @Test
  void twoTrianglesWithOneBridgeAreTwoCommunities() {
    List<Map<Integer, Double>> graph = graph(6);
    for (int[] edge : new int[][] {{0, 1}, {1, 2}, {0, 2}, {3, 4}, {4, 5}, {3, 5}, {2, 3}}) {
      connect(graph, edge[0], edge[1], 1);
    }
    assertThat(Modularity.communities(graph)).containsExactly(0, 0, 0, 1, 1, 1);
  }

  @Test
  void whatIsConnectedToNothingStandsAlone() {
    assertThat(Modularity.communities(graph(3))).containsExactly(0, 1, 2);
    assertThat(Modularity.communities(List.of())).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void plantedCommunitiesAreFound(long seed) {
    Random random = new Random(seed);
    int groups = 6;
    int size = 12;
    List<Map<Integer, Double>> graph = graph(groups * size);
    for (int i = 0; i < graph.size(); i++) {
      for (int j = i + 1; j < graph.size(); j++) {
        double chance = i / size == j / size ? 0.6 : 0.02;
        if (random.nextDouble() < chance) {
          connect(graph, i, j, 1);
        }
      }
    }
    int[] found = Modularity.communities(graph);
    for (int i = 0; i < found.length; i++) {
      assertThat(found[i]).isEqualTo(found[i / size * size]);
    }
    assertThat(found).isEqualTo(Modularity.communities(graph));
  }

  private static List<Map<Integer, Double>> graph(int nodes) {
    List<Map<Integer, Double>> graph = new ArrayList<>();
    for (int i = 0; i < nodes; i++) {
      graph.add(new TreeMap<>());
    }
    return graph;
  }

  private static void connect(List<Map<Integer, Double>> graph, int a, int b, double weight) {
    graph.get(a).put(b, weight);
    graph.get(b).put(a, weight);
  }
}
