package osmerin.core.topic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.HeldGroup;
import osmerin.core.group.KeywordGroup;
import osmerin.core.keyword.Keyword;
import osmerin.core.text.Stems;

class LikenessTest {
  private static final int KEPT = 8;
  private static final String[] WORDS = {
    "eel", "trap", "bread", "rye", "smoke", "oven", "river", "net", "crust", "jar"
  };

  /** Against the definition, worked out pair by pair. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void theNearestAreThoseOfTheDefinition(long seed) {
    List<KeywordGroup> groups = groups(new Random(seed), 40);
    Likeness likeness = new Likeness(groups, new Stems());
    List<Map<Integer, Double>> expected = nearest(groups);
    for (int i = 0; i < groups.size(); i++) {
      Map<Integer, Double> found = likeness.of(i);
      assertThat(found.keySet()).as("neighbours of %s", i).isEqualTo(expected.get(i).keySet());
      expected
          .get(i)
          .forEach((other, alike) -> assertThat(found.get(other)).isCloseTo(alike, within(1e-9)));
    }
  }

  /** A feature that more than a thousand groups have finds nobody, yet counts for the cosine. */
  @Test
  void theCommonestFeaturesCountForThoseThatAreFound() {
    List<KeywordGroup> groups = new ArrayList<>();
    Random random = new Random(3);
    for (int i = 0; i < 1_300; i++) {
      String phrase = "eel " + WORDS[1 + random.nextInt(9)] + " w" + i / 4 + "x n" + i;
      List<String> pages = List.of("all.example/" + i, "s" + i / 6 + ".example/" + i);
      groups.add(group("g" + i, Keyword.of(phrase, 100L, pages)));
    }
    Likeness likeness = new Likeness(groups, new Stems());
    for (int i = 0; i < groups.size(); i++) {
      assertThat(likeness.of(i)).as("neighbours of %s", i).hasSizeGreaterThan(2);
      for (Map.Entry<Integer, Double> near : likeness.of(i).entrySet()) {
        assertThat(near.getValue()).isCloseTo(likeness.of(i, near.getKey()), within(1e-12));
      }
    }
  }

  @Test
  void alikeIsMutualAndNoMoreThanOne() {
    List<KeywordGroup> groups = groups(new Random(9), 60);
    Likeness likeness = new Likeness(groups, new Stems());
    for (int i = 0; i < groups.size(); i++) {
      for (Map.Entry<Integer, Double> near : likeness.of(i).entrySet()) {
        assertThat(near.getKey()).isNotEqualTo(i);
        assertThat(near.getValue()).isBetween(0.0, 1 + 1e-9);
        assertThat(likeness.of(near.getKey())).containsEntry(i, near.getValue());
      }
    }
  }

  @Test
  void whatSharesNeitherWordsNorSitesIsNoNeighbour() {
    List<KeywordGroup> groups =
        List.of(
            group("g0", Keyword.of("eel trap", 10L, List.of("a.example/1"))),
            group("g1", Keyword.of("eel smoke", 9L, List.of())),
            group("g2", Keyword.of("rye bread", 8L, List.of("b.example/1"))));
    Likeness likeness = new Likeness(groups, new Stems());
    assertThat(likeness.of(0)).containsOnlyKeys(1);
    assertThat(likeness.of(1)).containsOnlyKeys(0);
    assertThat(likeness.of(2)).isEmpty();
  }

  private static List<KeywordGroup> groups(Random random, int count) {
    Set<String> phrases = new HashSet<>();
    while (phrases.size() < count) {
      StringBuilder phrase = new StringBuilder(WORDS[random.nextInt(WORDS.length)]);
      for (int word = random.nextInt(3); word >= 0; word--) {
        phrase.append(' ').append(WORDS[random.nextInt(WORDS.length)]);
      }
      phrases.add(phrase.toString());
    }
    List<KeywordGroup> groups = new ArrayList<>();
    for (String phrase : phrases.stream().sorted().toList()) {
      List<String> pages =
          IntStream.range(0, random.nextInt(4))
              .mapToObj(i -> "s" + random.nextInt(12) + ".example/" + random.nextInt(50))
              .toList();
      groups.add(group("g" + groups.size(), Keyword.of(phrase, 100L, pages)));
    }
    return groups;
  }

  private static KeywordGroup group(String key, Keyword keyword) {
    return new Grouping(GroupingSettings.DEFAULT)
        .group(List.of(keyword), List.of(new HeldGroup(key, Set.of(keyword.normal()), true)))
        .get(0);
  }

  private static List<Map<Integer, Double>> nearest(List<KeywordGroup> groups) {
    Stems stems = new Stems();
    List<Map<String, Double>> words = new ArrayList<>();
    List<Map<String, Double>> sites = new ArrayList<>();
    for (KeywordGroup group : groups) {
      Map<String, Double> its = new HashMap<>();
      stems.subject(group.primary().text()).forEach(stem -> its.put(stem, 1.0));
      words.add(its);
      Map<String, Double> hosts = new HashMap<>();
      group.primary().pages().forEach(page -> hosts.merge(page.host(), 1.0, Double::sum));
      sites.add(hosts);
    }
    List<Map<String, Double>> byWords = unit(words);
    List<Map<String, Double>> bySites = unit(sites);
    List<Map<Integer, Double>> result = new ArrayList<>();
    groups.forEach(group -> result.add(new HashMap<>()));
    for (int i = 0; i < groups.size(); i++) {
      int from = i;
      Map<Integer, Double> alike = new HashMap<>();
      for (int j = 0; j < groups.size(); j++) {
        boolean known = !sites.get(i).isEmpty() && !sites.get(j).isEmpty();
        double cosine = dot(byWords.get(i), byWords.get(j));
        double both = known ? (cosine + dot(bySites.get(i), bySites.get(j))) / 2 : cosine;
        if (j != i && both > 0) {
          alike.put(j, both);
        }
      }
      alike.entrySet().stream()
          .sorted(
              // Sums of floating point numbers differ in the last places.
              Comparator.<Map.Entry<Integer, Double>>comparingLong(
                      e -> -Math.round(e.getValue() * 1e9))
                  .thenComparing(Map.Entry::getKey))
          .limit(KEPT)
          .forEach(
              e -> {
                result.get(from).put(e.getKey(), e.getValue());
                result.get(e.getKey()).put(from, e.getValue());
              });
    }
    return result;
  }

  private static List<Map<String, Double>> unit(List<Map<String, Double>> counts) {
    Map<String, Integer> having = new HashMap<>();
    counts.forEach(its -> its.keySet().forEach(f -> having.merge(f, 1, Integer::sum)));
    return counts.stream()
        .map(
            its -> {
              Map<String, Double> weights = new HashMap<>();
              its.forEach(
                  (f, n) ->
                      weights.put(f, n * Math.log(1 + (double) counts.size() / having.get(f))));
              double norm = Math.sqrt(dot(weights, weights));
              weights.replaceAll((f, weight) -> weight / norm);
              return weights;
            })
        .toList();
  }

  private static double dot(Map<String, Double> a, Map<String, Double> b) {
    return a.entrySet().stream()
        .mapToDouble(e -> e.getValue() * b.getOrDefault(e.getKey(), 0.0))
        .sum();
  }
}
