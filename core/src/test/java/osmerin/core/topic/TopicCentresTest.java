package osmerin.core.topic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
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
import osmerin.core.text.Language;
import osmerin.core.text.Stems;

class TopicCentresTest {
  private static final String[] WORDS = {"eel", "trap", "bread", "rye", "smoke", "oven", "net"};

  /** Against the definition: the product with the sum of the others, over that sum's length. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void nearnessIsTheCosineWithTheSumOfTheOthers(long seed) {
    Random random = new Random(seed);
    List<KeywordGroup> groups = groups(random, 14);
    Likeness likeness = new Likeness(groups, new Stems());
    int[] size = random.ints(groups.size(), 1, 5).toArray();
    int[] setOf = random.ints(groups.size(), -1, 3).toArray();
    TopicCentres centres = new TopicCentres(likeness, size, setOf);
    for (int group = 0; group < size.length; group++) {
      for (int set = 0; set < 3; set++) {
        double expected = naive(likeness, size, setOf, group, set);
        assertThat(centres.near(group, set)).isCloseTo(expected, within(1e-6));
      }
    }
  }

  private static double naive(Likeness likeness, int[] size, int[] setOf, int group, int set) {
    List<Integer> others =
        IntStream.range(0, size.length)
            .filter(other -> setOf[other] == set && other != group)
            .boxed()
            .toList();
    double product = 0;
    double squares = 0;
    for (int a : others) {
      product += size[a] * likeness.of(group, a);
      for (int b : others) {
        squares += (double) size[a] * size[b] * (a == b ? 1 : likeness.of(a, b));
      }
    }
    return squares <= 1e-12 ? 0 : Math.min(1, product / Math.sqrt(squares));
  }

  @Test
  void whatIsAloneOrInAnEmptySetIsNearNothing() {
    List<KeywordGroup> groups = groups(new Random(7), 3);
    Likeness likeness = new Likeness(groups, new Stems());
    TopicCentres centres = new TopicCentres(likeness, new int[] {1, 1, 1}, new int[] {0, -1, -1});
    assertThat(centres.near(0, 0)).isZero();
    assertThat(centres.near(0, 9)).isZero();
  }

  /** Groups of different languages tie no topic together, however they are spelled. */
  @Test
  void topicsAreByLanguage() {
    List<Keyword> keywords = new ArrayList<>();
    for (Language language : List.of(Language.ENGLISH, Language.GERMAN)) {
      for (String text : List.of("pop art", "pop art poster", "pop art print", "pop art colour")) {
        keywords.add(
            Keyword.of(text + (language == Language.GERMAN ? " kunst" : ""), 90L, List.of())
                .in(language));
      }
    }
    List<KeywordGroup> groups = alone(keywords);
    List<Topic> topics = new Topics(new MadeMeaning(Map.of())).gather(groups);
    assertThat(topics).isNotEmpty();
    assertThat(topics)
        .allSatisfy(
            topic ->
                assertThat(topic.groups().stream().map(g -> g.primary().language()).distinct())
                    .hasSize(1));
    Collections.shuffle(groups, new Random(2));
    assertThat(new Topics(new MadeMeaning(Map.of())).gather(groups)).isEqualTo(topics);
  }

  private static List<KeywordGroup> groups(Random random, int count) {
    Set<String> texts = new TreeSet<>();
    while (texts.size() < count) {
      texts.add(
          WORDS[random.nextInt(WORDS.length)]
              + " "
              + WORDS[random.nextInt(WORDS.length)]
              + " "
              + WORDS[random.nextInt(WORDS.length)]);
    }
    return alone(
        texts.stream().map(t -> Keyword.of(t, 10L, List.of()).in(Language.ENGLISH)).toList());
  }

  private static List<KeywordGroup> alone(List<Keyword> keywords) {
    List<KeywordGroup> groups = new ArrayList<>();
    for (Keyword keyword : keywords) {
      groups.addAll(
          new Grouping(GroupingSettings.DEFAULT)
              .group(
                  List.of(keyword),
                  List.of(new HeldGroup("g" + groups.size(), Set.of(keyword.normal()), true))));
    }
    return groups;
  }
}
