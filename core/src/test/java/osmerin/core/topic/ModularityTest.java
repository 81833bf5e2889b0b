package osmerin.core.topic;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ModularityTest {
  @Test
  void twoCirclesOfFriendsJoinedByOneStayTwo() {
    List<Map<Integer, Double>> graph = empty(10);
    clique(graph, 0, 5);
    clique(graph, 5, 10);
    link(graph, 4, 5, 0.5);
    int[] community = Modularity.communities(graph, 1);
    assertThat(Arrays.stream(community, 0, 5).distinct().count()).isEqualTo(1);
    assertThat(Arrays.stream(community, 5, 10).distinct().count()).isEqualTo(1);
    assertThat(community[0]).isNotEqualTo(community[9]);
  }

  @Test
  void whoHasNoLinkStaysAlone() {
    List<Map<Integer, Double>> graph = empty(4);
    link(graph, 0, 1, 1);
    int[] community = Modularity.communities(graph, 1);
    assertThat(community[0]).isEqualTo(community[1]);
    assertThat(Arrays.stream(community).distinct().count()).isEqualTo(3);
  }

  @Test
  void aGraphOfNothingHasNoCommunities() {
    assertThat(Modularity.communities(List.of(), 1)).isEmpty();
  }

  /** A partition is worth what its definition says; ours is worth no less than plain ones. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void itIsWorthAtLeastWhatHiddenGroupsAre(long seed) {
    Random random = new Random(seed);
    int[] hidden = new int[40];
    Arrays.setAll(hidden, i -> random.nextInt(5));
    List<Map<Integer, Double>> graph = empty(hidden.length);
    for (int i = 0; i < hidden.length; i++) {
      for (int j = 0; j < i; j++) {
        if (random.nextDouble() < (hidden[i] == hidden[j] ? 0.7 : 0.03)) {
          link(graph, i, j, 0.2 + random.nextDouble());
        }
      }
    }
    int[] found = Modularity.communities(graph, 1);
    assertThat(worth(graph, found)).isGreaterThanOrEqualTo(worth(graph, hidden) - 1e-9);
    assertThat(worth(graph, found)).isGreaterThan(worth(graph, new int[hidden.length]));
    assertThat(Modularity.communities(graph, 1)).isEqualTo(found);
  }

  private static double worth(List<Map<Integer, Double>> graph, int[] community) {
    double[] strength = new double[graph.size()];
    Arrays.setAll(
        strength, i -> graph.get(i).values().stream().mapToDouble(Double::doubleValue).sum());
    double all = Arrays.stream(strength).sum();
    double worth = 0;
    for (int i = 0; i < strength.length; i++) {
      for (int j = 0; j < strength.length; j++) {
        if (community[i] == community[j]) {
          double weight = graph.get(i).getOrDefault(j, 0.0);
          worth += (weight - strength[i] * strength[j] / all) / all;
        }
      }
    }
    return worth;
  }

  private static List<Map<Integer, Double>> empty(int nodes) {
    List<Map<Integer, Double>> graph = new ArrayList<>();
    for (int i = 0; i < nodes; i++) {
      graph.add(new TreeMap<>());
    }
    return graph;
  }

  private static void clique(List<Map<Integer, Double>> graph, int from, int to) {
    for (int i = from; i < to; i++) {
      for (int j = from; j < i; j++) {
        link(graph, i, j, 1);
      }
    }
  }

  private static void link(List<Map<Integer, Double>> graph, int a, int b, double weight) {
    graph.get(a).put(b, weight);
    graph.get(b).put(a, weight);
  }
}
