package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Gathers texts that say the same: average linkage over their likeness. That is the cosine of their
 * stems, each weighted by its rarity, ln(1 + texts / texts with it); where it is known what the
 * texts mean, it is {@value #MEANS} times the cosine of the vectors, and the rest times that of the
 * stems. Of all pairs of clusters the nearest becomes one, the one with the first text at a tie,
 * until no mean reaches the least.
 */
final class Alike {
  /** A stem that more texts have ties no two of them; it still counts once they are compared. */
  private static final int COMMON = 300;

  /** The part of likeness that is meaning, where it is known. */
  static final double MEANS = 0.6;

  private final double least;
  private final float @Nullable [][] meanings;
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
    private final double @Nullable [] meaning;
    private final List<Integer> texts = new ArrayList<>();
    private int version;
    private boolean gone;

    Cluster(int text, Map<String, Double> vector, float @Nullable [] meant) {
      sum = new HashMap<>(vector);
      meaning =
          meant == null
              ? null
              : IntStream.range(0, meant.length).mapToDouble(i -> meant[i]).toArray();
      texts.add(text);
    }

    double mean(Cluster other) {
      Map<String, Double> small = sum.size() < other.sum.size() ? sum : other.sum;
      Map<String, Double> large = small == sum ? other.sum : sum;
      double product = 0;
      for (Map.Entry<String, Double> part : small.entrySet()) {
        product += part.getValue() * large.getOrDefault(part.getKey(), 0.0);
      }
      if (meaning != null) {
        product = MEANS * product(meaning, other.meaning) + (1 - MEANS) * product;
      }
      return product / ((double) texts.size() * other.texts.size());
    }

    private static double product(double[] one, double[] other) {
      double product = 0;
      for (int i = 0; i < one.length; i++) {
        product += one[i] * other[i];
      }
      return product;
    }

    void take(Cluster other) {
      other.sum.forEach((stem, weight) -> sum.merge(stem, weight, Double::sum));
      for (int i = 0; meaning != null && i < meaning.length; i++) {
        meaning[i] += other.meaning[i];
      }
      texts.addAll(other.texts);
      version++;
      other.gone = true;
    }
  }

  private record Pair(double mean, int a, int b, int versionA, int versionB) {}

  private Alike(List<Set<String>> texts, float @Nullable [][] meanings, double least) {
    this.least = least;
    this.meanings = meanings;
    Map<String, List<Integer>> having = new TreeMap<>();
    for (int text = 0; text < texts.size(); text++) {
      for (String stem : texts.get(text)) {
        having.computeIfAbsent(stem, s -> new ArrayList<>()).add(text);
      }
    }
    for (int text = 0; text < texts.size(); text++) {
      Map<String, Double> unit = unit(texts.get(text), having, texts.size());
      clusters.add(new Cluster(text, unit, meanings == null ? null : meanings[text]));
      near.add(new TreeSet<>());
    }
    fold(texts);
    for (int text = 0; text < texts.size(); text++) {
      if (!clusters.get(text).gone) {
        compare(text, texts.get(text), having);
      }
    }
  }

  /** Texts that are the same in all that counts are nearest of all, however many there are. */
  private void fold(List<Set<String>> texts) {
    Map<List<Object>, Integer> first = new HashMap<>();
    for (int text = 0; text < texts.size(); text++) {
      List<Object> all =
          List.of(texts.get(text), meanings == null ? 0 : Arrays.hashCode(meanings[text]));
      Integer same = texts.get(text).isEmpty() ? null : first.putIfAbsent(all, text);
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
    Set<Integer> others = meanings == null ? new TreeSet<>() : meantAlike(text);
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

  /** Those that may be near enough even if no stem that counts is shared. */
  private Set<Integer> meantAlike(int text) {
    Set<Integer> others = new TreeSet<>();
    for (int other = text + 1; other < meanings.length; other++) {
      if (!clusters.get(other).gone && MEANS * cosine(meanings[text], meanings[other]) >= least) {
        others.add(other);
      }
    }
    return others;
  }

  private static double cosine(float[] one, float[] other) {
    float product = 0;
    for (int i = 0; i < one.length; i++) {
      product += one[i] * other[i];
    }
    return product;
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
   * Gathers by words.
   *
   * @param texts the stems of each; one without any stays alone
   * @param least mean likeness from which texts say the same, above 0, up to 1
   * @return the numbers of the texts of each cluster, by the first of them
   */
  static List<List<Integer>> gathered(List<Set<String>> texts, double least) {
    return gathered(texts, null, least);
  }

  /**
   * Gathers by words and meaning.
   *
   * @param meanings a vector of length 1 for each text, null where they are not known
   */
  static List<List<Integer>> gathered(
      List<Set<String>> texts, float @Nullable [][] meanings, double least) {
    Alike alike = new Alike(texts, meanings, least);
    alike.join();
    return alike.clusters.stream().filter(c -> !c.gone).map(c -> List.copyOf(c.texts)).toList();
  }
}
