package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * Gathers groups into sets: communities of a graph of what is alike. Then each group goes to the
 * set that it is nearest to as a whole; a set of more than a third of all demand is cut; what is
 * near to no set is in none, and so is what would be alone in one.
 */
final class TopicSets {
  /** The set of a group that belongs nowhere. */
  static final int NONE = -1;

  /** Groups that are less alike do not tie topics together. */
  private static final double ALIKE = 0.15;

  /** How much more strong ties count than weak ones, when a set is cut. */
  private static final double POWER = 1.5;

  private static final double[] POWERS = {1, 1.5, 2};
  private static final double[] RESOLUTIONS = {0.9, 1.1, 1.3, 1.5, 1.7};

  /** More groups than these are looked at fewer times, which keeps the cost in bounds. */
  private static final int FEW = 3_000;

  private static final double[] FEWER_RESOLUTIONS = {1, 1.3, 1.6};
  private static final double MOST_RESOLUTION = 8;

  /** Another set must be so much nearer. */
  private static final double CLEARLY = 0.01;

  /** A group that is less near to its set belongs nowhere. */
  private static final double BELONGS = 0.18;

  private static final double MOST_OF_DEMAND = 1.0 / 3;

  /** Fewer groups than these are topics as they come. */
  private static final int FEWEST_TO_CUT = 12;

  private final Likeness likeness;
  private final int[] size;
  private final long[] demand;
  private final int[] nodeOf;
  private final boolean[] stays;
  private int next;

  /**
   * @param size the number of keywords of each group
   * @param demand of each group, 0 or more
   * @param nodeOf for each group the first of those that are in one topic with it already, itself
   *     when it is in none
   * @param stays which groups are in a topic already
   */
  TopicSets(Likeness likeness, int[] size, long[] demand, int[] nodeOf, boolean[] stays) {
    this.likeness = likeness;
    this.size = size;
    this.demand = demand;
    this.nodeOf = nodeOf;
    this.stays = stays;
    next = size.length;
  }

  /** The set of each group, {@link #NONE} for those in none. */
  int[] find() {
    int[] setOf = communities();
    setOf = nearest(setOf);
    cut(setOf);
    leaveOut(setOf);
    return setOf;
  }

  /**
   * Communities that hold whichever way they are looked for: of several looks at the graph, with
   * strong ties counting for more or less and finer or coarser, those groups are tied that most
   * looks put together (A. Lancichinetti and S. Fortunato, "Consensus clustering in complex
   * networks", 2012).
   */
  private int[] communities() {
    List<Map<Integer, Double>> together = empty(size.length);
    boolean few = size.length <= FEW;
    double[] powers = few ? POWERS : new double[] {POWER};
    double[] resolutions = few ? RESOLUTIONS : FEWER_RESOLUTIONS;
    List<List<Map<Integer, Double>>> graphs = Arrays.stream(powers).mapToObj(this::graph).toList();
    List<int[]> looks =
        graphs.parallelStream()
            .flatMap(
                graph ->
                    Arrays.stream(resolutions)
                        .mapToObj(resolution -> Modularity.communities(graph, resolution)))
            .toList();
    for (int[] community : looks) {
      for (int node = 0; node < community.length; node++) {
        for (int other : graphs.get(0).get(node).keySet()) {
          if (community[node] == community[other]) {
            together.get(node).merge(other, 1.0, Double::sum);
          }
        }
      }
    }
    double most = (double) looks.size();
    together.forEach(its -> its.values().removeIf(times -> times < most / 2));
    int[] community = Modularity.communities(together, 1);
    return IntStream.of(nodeOf).map(node -> community[node]).toArray();
  }

  private List<Map<Integer, Double>> graph(double power) {
    List<Map<Integer, Double>> graph = empty(size.length);
    for (int group = 0; group < size.length; group++) {
      Map<Integer, Double> edges = graph.get(nodeOf[group]);
      int mine = size[group];
      likeness
          .of(group)
          .forEach(
              (other, alike) -> {
                if (alike >= ALIKE) {
                  edges.merge(nodeOf[other], weight(alike, power, mine, size[other]), Double::sum);
                }
              });
    }
    return graph;
  }

  /** Groups of many keywords count for more. */
  private static double weight(double alike, double power, int mine, int theirs) {
    return Math.pow(alike, power) * Math.sqrt((double) mine * theirs);
  }

  private static List<Map<Integer, Double>> empty(int nodes) {
    List<Map<Integer, Double>> graph = new ArrayList<>();
    for (int node = 0; node < nodes; node++) {
      graph.add(new TreeMap<>());
    }
    return graph;
  }

  /** Each group on its own goes to the set it is nearest to of those it is tied to. */
  private int[] nearest(int[] setOf) {
    TopicCentres centres = new TopicCentres(likeness, size, setOf);
    return IntStream.range(0, setOf.length)
        .parallel()
        .map(group -> stays[group] ? setOf[group] : nearest(group, setOf, centres))
        .toArray();
  }

  private int nearest(int group, int[] setOf, TopicCentres centres) {
    int best = setOf[group];
    double most = centres.near(group, best) + CLEARLY;
    for (int set : around(group, setOf)) {
      double near = centres.near(group, set);
      if (near > most) {
        best = set;
        most = near;
      }
    }
    return best;
  }

  private Set<Integer> around(int group, int[] setOf) {
    Set<Integer> around = new TreeSet<>();
    likeness.of(group).keySet().forEach(other -> around.add(setOf[other]));
    around.remove(NONE);
    return around;
  }

  private void cut(int[] setOf) {
    long all = Arrays.stream(demand).sum();
    boolean unknown = all == 0;
    double most = MOST_OF_DEMAND * (unknown ? Arrays.stream(size).asLongStream().sum() : all);
    if (size.length < FEWEST_TO_CUT) {
      return;
    }
    List<Integer> open = new ArrayList<>(new TreeSet<>(Arrays.stream(setOf).boxed().toList()));
    for (int at = 0; at < open.size(); at++) {
      int set = open.get(at);
      int[] groups = IntStream.range(0, setOf.length).filter(g -> setOf[g] == set).toArray();
      double its = IntStream.of(groups).mapToDouble(g -> unknown ? size[g] : demand[g]).sum();
      if (its > most) {
        open.addAll(cut(graph(POWER), groups, setOf));
      }
    }
  }

  /** The numbers of the parts, none where it cannot be cut. */
  private Set<Integer> cut(List<Map<Integer, Double>> whole, int[] groups, int[] setOf) {
    for (double resolution = 1.2; resolution <= MOST_RESOLUTION; resolution *= 1.5) {
      int[] part = parts(whole, groups, resolution);
      long parts =
          IntStream.of(part)
              .distinct()
              .filter(p -> IntStream.of(part).filter(q -> q == p).count() > 1)
              .count();
      if (parts > 1) {
        Map<Integer, Integer> numbers = new HashMap<>();
        for (int i = 0; i < groups.length; i++) {
          setOf[groups[i]] = numbers.computeIfAbsent(part[i], p -> next++);
        }
        return new TreeSet<>(numbers.values());
      }
    }
    return Set.of();
  }

  private int[] parts(List<Map<Integer, Double>> whole, int[] groups, double resolution) {
    Map<Integer, Integer> numbers = new HashMap<>();
    for (int group : groups) {
      numbers.computeIfAbsent(nodeOf[group], node -> numbers.size());
    }
    List<Map<Integer, Double>> graph = empty(numbers.size());
    numbers.forEach(
        (node, number) ->
            whole
                .get(node)
                .forEach(
                    (other, weight) -> {
                      if (numbers.containsKey(other)) {
                        graph.get(number).put(numbers.get(other), weight);
                      }
                    }));
    int[] part = Modularity.communities(graph, resolution);
    return IntStream.of(groups).map(group -> part[numbers.get(nodeOf[group])]).toArray();
  }

  private void leaveOut(int[] setOf) {
    TopicCentres centres = new TopicCentres(likeness, size, setOf);
    int[] before = setOf.clone();
    for (int group = 0; group < setOf.length; group++) {
      if (!stays[group] && centres.near(group, before[group]) < BELONGS) {
        setOf[group] = NONE;
      }
    }
    Map<Integer, Integer> count = new HashMap<>();
    Set<Integer> kept = new HashSet<>();
    for (int group = 0; group < setOf.length; group++) {
      count.merge(setOf[group], 1, Integer::sum);
      if (stays[group]) {
        kept.add(setOf[group]);
      }
    }
    for (int group = 0; group < setOf.length; group++) {
      if (count.get(setOf[group]) == 1 && !kept.contains(setOf[group])) {
        setOf[group] = NONE;
      }
    }
  }
}
