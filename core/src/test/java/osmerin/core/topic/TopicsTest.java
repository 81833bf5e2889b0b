package osmerin.core.topic;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.HeldGroup;
import osmerin.core.group.KeywordGroup;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.MadeMeaning;

class TopicsTest {
  private static final List<String> BREAD =
      List.of(
          "sourdough starter", "sourdough bread recipe", "feeding sourdough", "sourdough crumb");
  private static final List<String> BEES =
      List.of("bee hive", "bee hive inspection", "bee swarm", "bee hive stand");

  @Test
  void groupsOfSharedWordsAndSitesGatherUnderANamePeopleWouldGive() {
    List<Topic> topics = new Topics().gather(groups(keywords()));
    assertThat(topics).extracting(Topic::name).containsExactly("Sourdough", "Bee hive");
    assertThat(topics).allSatisfy(topic -> assertThat(topic.groups()).contains(topic.pillar()));
    assertThat(topics.get(0).groups()).hasSize(4);
  }

  @Test
  void theOrderOfTheGroupsDoesNotMatter() {
    List<KeywordGroup> groups = new ArrayList<>(groups(keywords()));
    List<Topic> once = new Topics().gather(groups);
    Collections.shuffle(groups, new Random(5));
    assertThat(new Topics().gather(groups)).isEqualTo(once);
  }

  @Test
  void existingTopicsKeepNamePillarAndGroupsAndNewGroupsJoinThem() {
    List<HeldGroup> kept =
        List.of(
            new HeldGroup("g1", Set.of("sourdough starter"), false),
            new HeldGroup("g2", Set.of("sourdough bread recipe"), false),
            new HeldGroup("g3", Set.of("bee hive"), false));
    List<KeywordGroup> groups = new Grouping(GroupingSettings.DEFAULT).group(keywords(), kept);
    List<Topic> topics =
        new Topics()
            .gather(
                groups,
                Map.of(
                    "t1", new Topics.Kept("Wild yeast", "g2", Set.of("g1", "g2")),
                    "t2", new Topics.Kept("Apiary", null, Set.of("g3"))));
    assertThat(topics).extracting(Topic::name).containsExactly("Wild yeast", "Apiary");
    assertThat(topics.get(0).pillar().keptAs()).isEqualTo("g2");
    assertThat(topics.get(0).groups()).hasSize(4);
  }

  @Test
  void nothingGathersIntoNothing() {
    assertThat(new Topics().gather(List.of())).isEmpty();
  }

  @Test
  void twoTopicsNeverHaveOneName() {
    List<Keyword> keywords =
        IntStream.range(0, 30)
            .mapToObj(
                i ->
                    Keyword.of(
                        "clay " + "abcdefghijklmnopqrstuvwxyzabcd".charAt(i) + "x" + i % 7,
                        100L + i,
                        List.of("s" + i % 5 + ".example/a" + i)))
            .toList();
    assertThat(new Topics().gather(groups(keywords)))
        .extracting(Topic::name)
        .doesNotHaveDuplicates();
  }

  /** People find a topic by its name, however they write it. */
  @Test
  void aNewTopicIsNotNamedAsAPersonNamedAnother() {
    List<KeywordGroup> groups =
        new Grouping(GroupingSettings.DEFAULT)
            .group(keywords(), List.of(new HeldGroup("g1", Set.of("bee hive"), false)));
    List<Topic> topics =
        new Topics().gather(groups, Map.of("t1", new Topics.Kept("SOURDOUGH", "g1", Set.of("g1"))));
    assertThat(topics.stream().map(t -> t.name().toLowerCase(Locale.ROOT)))
        .hasSize(2)
        .doesNotHaveDuplicates();
  }

  @Test
  void noTopicHasMoreThanAThirdOfAllDemandWhereItCanBeCut() {
    List<KeywordGroup> groups = groups(many(new Random(3), 240));
    List<Topic> topics = new Topics(new MadeMeaning(Map.of())).gather(groups);
    long all = groups.stream().mapToLong(g -> g.demand().searches()).sum();
    assertThat(topics)
        .allSatisfy(
            topic ->
                assertThat(topic.groups().stream().mapToLong(g -> g.demand().searches()).sum())
                    .isLessThanOrEqualTo(all / 3 + 1));
  }

  @Test
  void whatBelongsNowhereIsInNoTopic() {
    List<Keyword> keywords = new ArrayList<>(keywords());
    keywords.add(Keyword.of("zither strings", 5L, pages("zither", 9)));
    List<Topic> topics = new Topics().gather(groups(keywords));
    assertThat(topics.stream().flatMap(t -> t.groups().stream()))
        .noneMatch(g -> g.primary().text().equals("zither strings"));
  }

  @Test
  void aTopicSaysHowNearItsGroupsAreAndByWhichWords() {
    Topic topic = new Topics().gather(groups(keywords())).get(0);
    assertThat(topic.places())
        .allSatisfy(
            place -> {
              assertThat(place.near()).isBetween(0.1, 1.0);
              assertThat(place.words()).contains("sourdough");
            });
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void namesAreDistinctAndNoneIsABareModifier(long seed) {
    List<Topic> topics = new Topics().gather(groups(many(new Random(seed), 90)));
    assertThat(topics).extracting(t -> t.name().toLowerCase(Locale.ROOT)).doesNotHaveDuplicates();
    assertThat(topics)
        .allSatisfy(
            t ->
                assertThat(List.of("large", "small", "cheap", "best"))
                    .doesNotContain(t.name().toLowerCase(Locale.ROOT)));
  }

  private static List<Keyword> many(Random random, int count) {
    String[] kinds = {"large", "small", "cheap", "best"};
    String[] things = {"kiln", "wheel", "loom", "anvil", "boat", "hive"};
    String[] parts = {"repair", "stand", "cover", "plans", "noise", "parts", "paint", "motor"};
    Set<String> texts = new TreeSet<>();
    while (texts.size() < Math.min(count, 180)) {
      texts.add(
          kinds[random.nextInt(4)]
              + " "
              + things[random.nextInt(6)]
              + (random.nextBoolean() ? "" : " " + parts[random.nextInt(8)]));
    }
    return texts.stream()
        .map(
            text ->
                Keyword.of(
                    text,
                    10L + random.nextInt(500),
                    IntStream.range(0, 6)
                        .mapToObj(p -> "s" + text.split(" ")[1] + p + ".example/" + text.hashCode())
                        .toList()))
        .toList();
  }

  private static List<KeywordGroup> groups(List<Keyword> keywords) {
    return new Grouping(GroupingSettings.DEFAULT).group(keywords);
  }

  private static List<Keyword> keywords() {
    List<Keyword> keywords = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      keywords.add(Keyword.of(BREAD.get(i), 900L - i * 100, pages("bread", i)));
      keywords.add(Keyword.of(BEES.get(i), 700L - i * 100, pages("bees", i)));
    }
    return keywords;
  }

  private static List<String> pages(String name, int group) {
    return IntStream.range(0, 8).mapToObj(i -> name + i + ".example/page-" + group).toList();
  }
}
