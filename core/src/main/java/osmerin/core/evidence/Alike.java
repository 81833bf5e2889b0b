package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Gathers texts that say the same: average linkage over the cosine of their stems, each weighted by
 * its rarity, ln(1 + texts / texts with it). Of all pairs of clusters the nearest becomes one, the
 * one with the first text at a tie, until no mean reaches the least.
 */
final class Alike {
  /** A stem that more texts have ties no two of them; it still counts once they are compared. */
  private static final int COMMON = 300;

  private final double least;
  private final List<Cluster> clusters = new ArrayList<>();
  private final List<Set<Integer>> near = new ArrayList<>();
  private final PriorityQueue<Pair> queue =
      new PriorityQueue<>(
          Comparator.comparingDouble((Pair p) -> -p.mean())
              .thenComparingInt(Pair::a)
              .thenComparingInt(Pair::b));

  /** A cluster by the sum of its texts' unit vectors; it is gone once it went into another. */
  private static final class Cluster {
    private final Map<String, Double> sum;
    private final List<Integer> texts = new ArrayList<>();
    private int version;
    private boolean gone;

    Cluster(int text, Map<String, Double> vector) {
      sum = new HashMap<>(vector);
      texts.add(text);
    }

    double mean(Cluster other) {
      Map<String, Double> small = sum.size() < other.sum.size() ? sum : other.sum;
      Map<String, Double> large = small == sum ? other.sum : sum;
      double product = 0;
      for (Map.Entry<String, Double> part : small.entrySet()) {
        product += part.getValue() * large.getOrDefault(part.getKey(), 0.0);
      }
      return product / ((double) texts.size() * other.texts.size());
    }

    void take(Cluster other) {
      other.sum.forEach((stem, weight) -> sum.merge(stem, weight, Double::sum));
      texts.addAll(other.texts);
      version++;
      other.gone = true;
    }
  }

  private record Pair(double mean, int a, int b, int versionA, int versionB) {}

  /**
   * @param least mean cosine from which texts say the same, above 0, up to 1
   */
  private Alike(List<Set<String>> texts, double least) {
    this.least = least;
    Map<String, List<Integer>> having = new TreeMap<>();
    for (int text = 0; text < texts.size(); text++) {
      for (String stem : texts.get(text)) {
        having.computeIfAbsent(stem, s -> new ArrayList<>()).add(text);
      }
    }
    for (int text = 0; text < texts.size(); text++) {
      clusters.add(new Cluster(text, unit(texts.get(text), having, texts.size())));
      near.add(new TreeSet<>());
    }
    fold(texts);
    for (int text = 0; text < texts.size(); text++) {
      if (!clusters.get(text).gone) {
        compare(text, texts.get(text), having);
      }
    }
  }

  /** Texts of the same stems are nearest of all, however common those are. */
  private void fold(List<Set<String>> texts) {
    Map<Set<String>, Integer> first = new HashMap<>();
    for (int text = 0; text < texts.size(); text++) {
      Integer same = texts.get(text).isEmpty() ? null : first.putIfAbsent(texts.get(text), text);
      if (same != null) {
        clusters.get(same).take(clusters.get(text));
      }
    }
    clusters.forEach(cluster -> cluster.texts.sort(null));
  }

  private static Map<String, Double> unit(
      Set<String> stems, Map<String, List<Integer>> having, int texts) {
    Map<String, Double> vector = new TreeMap<>();
    double squares = 0;
    for (String stem : new TreeSet<>(stems)) {
      double weight = Math.log(1 + (double) texts / having.get(stem).size());
      vector.put(stem, weight);
      squares += weight * weight;
    }
    double norm = Math.sqrt(squares);
    vector.replaceAll((stem, weight) -> weight / norm);
    return vector;
  }

  private void compare(int text, Set<String> stems, Map<String, List<Integer>> having) {
    Set<Integer> others = new TreeSet<>();
    for (String stem : stems) {
      List<Integer> with = having.get(stem);
      if (with.size() <= COMMON) {
        with.stream()
            .filter(other -> other > text && !clusters.get(other).gone)
            .forEach(others::add);
      }
    }
    others.forEach(other -> offer(text, other));
  }

  private void offer(int one, int other) {
    int a = Math.min(one, other);
    int b = Math.max(one, other);
    double mean = clusters.get(a).mean(clusters.get(b));
    if (mean >= least) {
      near.get(a).add(b);
      near.get(b).add(a);
      queue.add(new Pair(mean, a, b, clusters.get(a).version, clusters.get(b).version));
    }
  }

  private void join() {
    while (!queue.isEmpty()) {
      Pair pair = queue.poll();
      Cluster into = clusters.get(pair.a());
      Cluster from = clusters.get(pair.b());
      boolean stands =
          !into.gone
              && !from.gone
              && into.version == pair.versionA()
              && from.version == pair.versionB();
      if (stands) {
        into.take(from);
        into.texts.sort(null);
        Set<Integer> around = new TreeSet<>(near.get(pair.a()));
        around.addAll(near.get(pair.b()));
        around.removeIf(other -> other == pair.a() || clusters.get(other).gone);
        around.forEach(other -> offer(pair.a(), other));
      }
    }
  }

  /**
   * Gathers.
   *
   * @param texts the stems of each; one without any stays alone
   * @param least mean cosine from which texts say the same, above 0, up to 1
   * @return the numbers of the texts of each cluster, by the first of them
   */
  static List<List<Integer>> gathered(List<Set<String>> texts, double least) {
    Alike alike = new Alike(texts, least);
    alike.join();
    return alike.clusters.stream().filter(c -> !c.gone).map(c -> List.copyOf(c.texts)).toList();
  }
}
