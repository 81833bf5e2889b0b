package osmerin.core.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Variants;
import osmerin.core.keyword.Volume;
import osmerin.core.text.Stems;

/** The parts that grouping is made of. */
class GroupPartsTest {
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void sharedPagesAreCountedAsByHand(long seed) {
    Random random = new Random(seed);
    List<List<PageAddress>> pages = new ArrayList<>();
    for (int unit = 0; unit < 60; unit++) {
      Set<PageAddress> some = new HashSet<>();
      for (int i = 0; i < 8; i++) {
        some.add(new PageAddress("p" + random.nextInt(40) + ".example"));
      }
      pages.add(List.copyOf(some));
    }
    List<SharedPages.Pair> pairs = new SharedPages(pages).atLeast(2);
    List<SharedPages.Pair> byHand = new ArrayList<>();
    for (int a = 0; a < pages.size(); a++) {
      for (int b = a + 1; b < pages.size(); b++) {
        Set<PageAddress> both = new HashSet<>(pages.get(a));
        both.retainAll(pages.get(b));
        if (both.size() >= 2) {
          byHand.add(new SharedPages.Pair(a, b, both.size()));
        }
      }
    }
    assertThat(pairs).isEqualTo(byHand);
  }

  @Test
  void aPageOfTooManyUnitsIsNoEvidence() {
    List<List<PageAddress>> pages =
        IntStream.rangeClosed(0, SharedPages.MOST_UNITS_OF_A_PAGE)
            .mapToObj(i -> List.of(new PageAddress("hub.example")))
            .toList();
    assertThat(new SharedPages(pages).atLeast(1)).isEmpty();
    assertThat(new SharedPages(pages.subList(0, 10)).atLeast(1)).hasSize(45);
  }

  @Test
  void twoClustersJoinOnlyWhenTheirUnitsShareEnoughOnAverage() {
    Communities tight = new Communities(4, 3);
    tight.join(pairs(new int[][] {{0, 1, 8}, {2, 3, 8}, {0, 2, 3}}));
    assertThat(tight.find(0)).isEqualTo(tight.find(1));
    assertThat(tight.find(2)).isEqualTo(tight.find(3));
    assertThat(tight.find(0)).isNotEqualTo(tight.find(2));
    Communities linked = new Communities(4, 3);
    linked.join(pairs(new int[][] {{0, 1, 8}, {2, 3, 8}, {0, 2, 4}, {0, 3, 4}, {1, 2, 4}}));
    assertThat(linked.find(0)).isEqualTo(linked.find(3));
  }

  @Test
  void whatWasKeptApartIsNeverJoined() {
    Communities communities = new Communities(4, 3);
    communities.keepTogether(List.of(0, 1));
    communities.keepTogether(List.of(2));
    communities.join(pairs(new int[][] {{0, 2, 10}, {1, 2, 10}, {2, 3, 10}}));
    assertThat(communities.find(0)).isEqualTo(communities.find(1));
    assertThat(communities.find(0)).isNotEqualTo(communities.find(2));
    assertThat(communities.find(3)).isEqualTo(communities.find(2));
  }

  @Test
  void wordsAreWeighedByTheirRarity() {
    List<String> phrases =
        List.of(
            "pottery wheel",
            "pottery kiln",
            "pottery glaze",
            "pottery wheel bearings",
            "quiet wheel");
    Stems stems = new Stems();
    List<Set<String>> sets = phrases.stream().map(stems::subject).toList();
    WordIndex index =
        new WordIndex(sets, phrases.stream().map(p -> SearchIntent.INFORMATIONAL).toList());
    IntStream.range(0, 3).forEach(index::add);
    assertThat(index.nearest(3)).hasValue(0);
    WordIndex none =
        new WordIndex(sets, phrases.stream().map(p -> SearchIntent.INFORMATIONAL).toList());
    assertThat(none.nearest(3)).isEmpty();
  }

  @Test
  void demandWeighsDifficultyByVolume() {
    Demand demand = demand(keyword("a pot", 900L, 10), keyword("two kilns", 100L, 60));
    assertThat(demand.searches()).isEqualTo(1000);
    assertThat(demand.difficulty()).isEqualTo(15);
    assertThat(demand.atLeast()).isFalse();
  }

  @Test
  void demandIsUnknownOnlyWhenThePrimaryKeywordsIs() {
    assertThat(demand(keyword("a pot", null, 10), keyword("kiln", 5L, null)).searches()).isNull();
    Demand partly = demand(keyword("a pot", 5L, null), keyword("kiln", null, null));
    assertThat(partly.searches()).isEqualTo(5);
    assertThat(partly.atLeast()).isTrue();
    assertThat(partly.difficulty()).isNull();
  }

  @Test
  void variantsWithDifferentFiguresAddUp() {
    assertThat(
            demand(keyword("wheel clay", 50L, null), keyword("clay wheels", 30L, null)).searches())
        .isEqualTo(80);
    assertThat(
            demand(keyword("wheel clay", 50L, null), keyword("clay wheels", 50L, null)).searches())
        .isEqualTo(50);
  }

  @Test
  void settingsOutOfRangeAreRefused() {
    assertThatThrownBy(() -> new GroupingSettings(0, 10, Mode.LOOSE)).hasMessageContaining("0");
    assertThatThrownBy(() -> new GroupingSettings(11, 10, Mode.LOOSE)).hasMessageContaining("11");
    assertThatThrownBy(() -> new GroupingSettings(3, 21, Mode.LOOSE)).hasMessageContaining("21");
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6})
  void moreSharedPagesNeverMakeFewerGroups(int minShared) {
    Random random = new Random(minShared);
    List<Keyword> keywords = new ArrayList<>();
    for (int i = 0; i < 200; i++) {
      List<String> pages = new ArrayList<>();
      for (int j = 0; j < 8; j++) {
        pages.add("g" + i / 10 + ".example/" + random.nextInt(12));
      }
      keywords.add(Keyword.of("phrase" + (char) ('a' + i % 26) + i, (long) i, pages));
    }
    int here =
        new Grouping(new GroupingSettings(minShared, 10, Mode.STRICT)).group(keywords).size();
    int stricter =
        new Grouping(new GroupingSettings(minShared + 1, 10, Mode.STRICT)).group(keywords).size();
    assertThat(stricter).isGreaterThanOrEqualTo(here);
  }

  private static List<SharedPages.Pair> pairs(int[][] pairs) {
    return java.util.Arrays.stream(pairs).map(p -> new SharedPages.Pair(p[0], p[1], p[2])).toList();
  }

  private static Demand demand(Keyword... keywords) {
    return Demand.of(List.of(keywords), new Variants(new Stems()));
  }

  private static Keyword keyword(String text, Long volume, Integer difficulty) {
    return new Keyword(
        text, volume == null ? null : Volume.exactly(volume), difficulty, null, null, List.of());
  }
}
