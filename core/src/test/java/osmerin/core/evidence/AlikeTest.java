package osmerin.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class AlikeTest {
  private static List<Alike.Text> texts(List<Set<String>> stems, int[] pages, float[][] meanings) {
    List<Alike.Text> texts = new ArrayList<>();
    for (int i = 0; i < stems.size(); i++) {
      Map<String, Double> weights = new TreeMap<>();
      stems.get(i).forEach(stem -> weights.put(stem, 1.0));
      texts.add(new Alike.Text(pages[i], weights, meanings == null ? null : meanings[i]));
    }
    return texts;
  }

  private static int[] ownPages(int count) {
    return IntStream.range(0, count).toArray();
  }

  /**
   * The plain definition: look at all pairs of clusters that share no page, join the nearest, again
   * and again.
   */
  private static Set<Set<Integer>> plainly(
      List<Set<String>> texts, int[] pages, float[][] meanings, double least) {
    List<Set<Integer>> clusters = new ArrayList<>();
    for (int i = 0; i < texts.size(); i++) {
      clusters.add(new TreeSet<>(Set.of(i)));
    }
    while (true) {
      double best = -1;
      Set<Integer> one = Set.of();
      Set<Integer> other = Set.of();
      for (int a = 0; a < clusters.size(); a++) {
        for (int b = a + 1; b < clusters.size(); b++) {
          double mean = mean(texts, meanings, clusters.get(a), clusters.get(b));
          if (mean >= least
              && mean > best + 1e-12
              && apart(pages, clusters.get(a), clusters.get(b))) {
            best = mean;
            one = clusters.get(a);
            other = clusters.get(b);
          }
        }
      }
      if (best < 0) {
        return new java.util.HashSet<>(clusters);
      }
      Set<Integer> gone = other;
      clusters.removeIf(c -> c == gone);
      one.addAll(other);
    }
  }

  private static boolean apart(int[] pages, Set<Integer> a, Set<Integer> b) {
    return a.stream().noneMatch(one -> b.stream().anyMatch(other -> pages[one] == pages[other]));
  }

  private static double mean(
      List<Set<String>> texts, float[][] meanings, Set<Integer> a, Set<Integer> b) {
    double sum = 0;
    for (int one : a) {
      for (int other : b) {
        sum += likeness(texts, meanings, one, other);
      }
    }
    return sum / (a.size() * b.size());
  }

  private static double likeness(List<Set<String>> texts, float[][] meanings, int one, int other) {
    double words = cosine(texts, one, other);
    return meanings == null
        ? words
        : 0.6 * (meanings[one][0] * meanings[other][0] + meanings[one][1] * meanings[other][1])
            + 0.4 * words;
  }

  private static double cosine(List<Set<String>> texts, int one, int other) {
    double product = 0;
    for (String stem : texts.get(one)) {
      product += texts.get(other).contains(stem) ? Math.pow(weight(texts, stem), 2) : 0;
    }
    return product / norm(texts, one) / norm(texts, other);
  }

  private static double norm(List<Set<String>> texts, int text) {
    return Math.sqrt(
        texts.get(text).stream().mapToDouble(s -> Math.pow(weight(texts, s), 2)).sum());
  }

  private static double weight(List<Set<String>> texts, String stem) {
    return Math.log(
        1 + (double) texts.size() / texts.stream().filter(t -> t.contains(stem)).count());
  }

  @Test
  void itIsAverageLinkageOfAllPairs() {
    againstThePlainDefinition(new Random(3), 1_500, false);
  }

  @Test
  void withMeaningItIsAverageLinkageOfBoth() {
    againstThePlainDefinition(new Random(4), 1_500, true);
  }

  @Test
  void noTwoTextsOfOnePageComeTogether() {
    List<Set<String>> same =
        List.of(Set.of("kiln"), Set.of("kiln"), Set.of("kiln"), Set.of("kiln"));
    assertThat(Alike.gathered(texts(same, new int[] {0, 0, 1, 1}, null), 0.5))
        .containsExactly(List.of(0, 2), List.of(1, 3));
  }

  private static float[][] directions(Random random, int count) {
    float[][] meanings = new float[count][];
    for (int i = 0; i < count; i++) {
      double angle = random.nextDouble() * Math.PI;
      meanings[i] = new float[] {(float) Math.cos(angle), (float) Math.sin(angle)};
    }
    return meanings;
  }

  private static void againstThePlainDefinition(Random random, int runs, boolean meant) {
    for (int run = 0; run < runs; run++) {
      List<Set<String>> texts = new ArrayList<>();
      int count = 2 + random.nextInt(9);
      for (int i = 0; i < count; i++) {
        Set<String> stems = new TreeSet<>();
        for (int k = 0; k < 1 + random.nextInt(5); k++) {
          // Of different rarities, so that hardly any two means are the same.
          stems.add("s" + (int) (Math.pow(random.nextDouble(), 1.7) * 12));
        }
        texts.add(stems);
      }
      double least = 0.2 + random.nextDouble() * 0.6;
      float[][] meanings = meant ? directions(random, count) : null;
      int[] pages = random.ints(count, 0, 4).toArray();
      if (ties(texts) && !meant) {
        continue;
      }
      Set<Set<Integer>> gathered = new java.util.HashSet<>();
      Alike.gathered(texts(texts, pages, meanings), least)
          .forEach(same -> gathered.add(new TreeSet<>(same)));
      assertThat(gathered)
          .as(texts + " from " + least)
          .isEqualTo(plainly(texts, pages, meanings, least));
    }
  }

  /**
   * Whether two pairs are as near to each other; which is joined first is then a matter of order.
   */
  private static boolean ties(List<Set<String>> texts) {
    Map<Long, Integer> means = new TreeMap<>();
    for (int a = 0; a < texts.size(); a++) {
      for (int b = a + 1; b < texts.size(); b++) {
        long mean = Math.round(cosine(texts, a, b) * 1e9);
        if (mean > 0 && means.merge(mean, 1, Integer::sum) > 1) {
          return true;
        }
      }
    }
    return false;
  }

  @Test
  void threeThousandOfTheSameAreOne() {
    for (int count : new int[] {10, 257, 3_000}) {
      List<Set<String>> texts = new ArrayList<>();
      for (int i = 0; i < count; i++) {
        texts.add(Set.of("kiln", "cool", "slow"));
      }
      texts.add(Set.of("wheel", "head", "bat"));
      assertThat(Alike.gathered(texts(texts, ownPages(count + 1), null), 0.5))
          .as("of " + count)
          .hasSize(2);
    }
  }

  @Test
  void textsWithoutWordsStayAlone() {
    List<Set<String>> few = List.of(Set.of(), Set.of("a"), Set.of());
    assertThat(Alike.gathered(texts(few, ownPages(3), null), 0.5)).hasSize(3);
    assertThat(Alike.gathered(List.of(), 0.5)).isEmpty();
  }
}
