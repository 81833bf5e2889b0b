package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
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
 * Gathers texts that say the same: average linkage over their likeness, in which no two texts of
 * one page come together. Likeness is the cosine of their stems, each weighted by its rarity, ln(1
 * + texts / texts with it); where it is known what the texts mean, it is {@link Text#MEANS} times
 * the cosine of the vectors, and the rest times that of the stems. Of all pairs of clusters without
 * a page in common the nearest becomes one, the one with the first text at a tie, until no mean
 * reaches the least.
 */
final class Alike {
  /** A stem that more texts have ties no two of them; it still counts once they are compared. */
  private static final int COMMON = 300;

  private final double least;
  private final List<Text> texts;
  private final List<Cluster> clusters = new ArrayList<>();
  private final List<Set<Integer>> near = new ArrayList<>();
  private final PriorityQueue<Pair> queue =
      new PriorityQueue<>(
          Comparator.comparingDouble((Pair p) -> -p.mean())
              .thenComparingInt(Pair::a)
              .thenComparingInt(Pair::b));

  /**
   * A text to be compared.
   *
   * @param page where it stands, from 0
   * @param stems how much each counts in it, above 0
   * @param meaning its vector, of length 1 at most; null where that is not known of any text
   */
  record Text(int page, Map<String, Double> stems, float @Nullable [] meaning) {
    /** The part of likeness that is meaning, where it is known. */
    static final double MEANS = 0.6;
  }

  /** A cluster by the sum of its texts' unit vectors; it is gone once it went into another. */
  private static final class Cluster {
    private final Map<String, Double> sum;
    private final double @Nullable [] meaning;
    private final List<Integer> texts = new ArrayList<>();
    private final BitSet pages = new BitSet();
    private int version;
    private boolean gone;

    Cluster(int text, int page, Map<String, Double> vector, float @Nullable [] meant) {
      pages.set(page);
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
        product = Text.MEANS * product(meaning, other.meaning) + (1 - Text.MEANS) * product;
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
      pages.or(other.pages);
      version++;
      other.gone = true;
    }
  }

  private record Pair(double mean, int a, int b, int versionA, int versionB) {}

  private Alike(List<Text> texts, double least) {
    this.least = least;
    this.texts = texts;
    Map<String, List<Integer>> having = new TreeMap<>();
    for (int text = 0; text < texts.size(); text++) {
      for (String stem : texts.get(text).stems().keySet()) {
        having.computeIfAbsent(stem, s -> new ArrayList<>()).add(text);
      }
    }
    for (int text = 0; text < texts.size(); text++) {
      Text it = texts.get(text);
      clusters.add(new Cluster(text, it.page(), unit(it.stems(), having), it.meaning()));
      near.add(new TreeSet<>());
    }
    fold();
    for (int text = 0; text < texts.size(); text++) {
      if (!clusters.get(text).gone) {
        compare(text, texts.get(text).stems().keySet(), having);
      }
    }
  }

  /**
   * Texts that are the same in all that counts are nearest of all, however many there are: the
   * first of each page is one with the first of the others, the second with the second.
   */
  private void fold() {
    Map<List<Object>, Integer> seen = new HashMap<>();
    Map<List<Object>, Integer> first = new HashMap<>();
    for (int text = 0; text < texts.size(); text++) {
      Text it = texts.get(text);
      if (it.stems().isEmpty()) {
        continue;
      }
      int meaning = it.meaning() == null ? 0 : Arrays.hashCode(it.meaning());
      int turn = seen.merge(List.of(it.stems(), meaning, it.page()), 1, Integer::sum);
      Integer same = first.putIfAbsent(List.of(it.stems(), meaning, turn), text);
      if (same != null) {
        clusters.get(same).take(clusters.get(text));
      }
    }
    clusters.forEach(cluster -> cluster.texts.sort(null));
  }

  private Map<String, Double> unit(Map<String, Double> stems, Map<String, List<Integer>> having) {
    Map<String, Double> vector = new TreeMap<>();
    double squares = 0;
    for (Map.Entry<String, Double> stem : new TreeMap<>(stems).entrySet()) {
      double rarity = Math.log(1 + (double) texts.size() / having.get(stem.getKey()).size());
      double weight = stem.getValue() * rarity;
      vector.put(stem.getKey(), weight);
      squares += weight * weight;
    }
    double norm = Math.sqrt(squares);
    vector.replaceAll((stem, weight) -> weight / norm);
    return vector;
  }

  private void compare(int text, Set<String> stems, Map<String, List<Integer>> having) {
    float[] meaning = texts.get(text).meaning();
    Set<Integer> others = meaning == null ? new TreeSet<>() : meantAlike(text, meaning);
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
  private Set<Integer> meantAlike(int text, float[] meaning) {
    Set<Integer> others = new TreeSet<>();
    for (int other = text + 1; other < texts.size(); other++) {
      if (!clusters.get(other).gone
          && Text.MEANS * cosine(meaning, texts.get(other).meaning()) >= least) {
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
    boolean apart = !clusters.get(a).pages.intersects(clusters.get(b).pages);
    double mean = apart ? clusters.get(a).mean(clusters.get(b)) : -1;
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
   * Gathers texts.
   *
   * @param texts one without stems, whose meaning is not known either, stays alone
   * @param least mean likeness from which texts say the same, above 0, up to 1
   * @return the numbers of the texts of each cluster, by the first of them
   */
  static List<List<Integer>> gathered(List<Text> texts, double least) {
    Alike alike = new Alike(texts, least);
    alike.join();
    return alike.clusters.stream().filter(c -> !c.gone).map(c -> List.copyOf(c.texts)).toList();
  }
}
