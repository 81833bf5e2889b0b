package osmerin.core.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
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
    Neighbours neighbours = new PageIndex(pages).neighbours(2);
    for (int a = 0; a < pages.size(); a++) {
      List<Integer> byHand = new ArrayList<>();
      for (int b = 0; b < pages.size(); b++) {
        Set<PageAddress> both = new HashSet<>(pages.get(a));
        both.retainAll(pages.get(b));
        if (a != b && both.size() >= 2) {
          assertThat(neighbours.unit(neighbours.from(a) + byHand.size())).isEqualTo(b);
          assertThat(neighbours.shared(neighbours.from(a) + byHand.size())).isEqualTo(both.size());
          byHand.add(b);
        }
      }
      assertThat(neighbours.of(a)).hasSize(byHand.size());
    }
  }

  @Test
  void aPageOfTooManyUnitsIsNoEvidence() {
    List<List<PageAddress>> pages =
        IntStream.rangeClosed(0, PageIndex.MOST_UNITS_OF_A_PAGE)
            .mapToObj(i -> List.of(new PageAddress("hub.example")))
            .toList();
    assertThat(new PageIndex(pages).neighbours(1).of(0)).isEmpty();
    assertThat(new PageIndex(pages.subList(0, 10)).neighbours(1).of(0)).hasSize(9);
  }

  @Test
  void aPageOfMoreThanHalfOfAllIsNoEvidenceUnlessThereIsLittleElse() {
    List<List<PageAddress>> hubs =
        IntStream.range(0, 40)
            .mapToObj(i -> numbered(Stream.of(1, 2, 3, 4, 10 + i * 5, 11 + i * 5, 12 + i * 5)))
            .toList();
    assertThat(new PageIndex(hubs).neighbours(1).of(0)).hasSize(39);
    List<List<PageAddress>> withMoreOfTheirOwn =
        IntStream.range(0, 40)
            .mapToObj(i -> numbered(IntStream.range(0, 9).mapToObj(p -> p < 4 ? p : i * 9 + p + 9)))
            .toList();
    assertThat(new PageIndex(withMoreOfTheirOwn).neighbours(1).of(0)).isEmpty();
  }

  private static List<PageAddress> numbered(Stream<Integer> pages) {
    return pages.map(p -> new PageAddress("p" + p + ".example")).toList();
  }

  @ParameterizedTest
  @ValueSource(longs = {5, 6, 7})
  void profilesSayWhatTheirUnitsShareOnAverage(long seed) {
    Random random = new Random(seed);
    int[][] units = new int[14][];
    for (int i = 0; i < units.length; i++) {
      units[i] = random.ints(6, 0, 25).distinct().sorted().toArray();
    }
    Profile left = profile(units, 0, 9);
    Profile right = profile(units, 9, 14);
    assertThat(left.meanShared(right)).isCloseTo(mean(units, 0, 9, 9, 14), within(1e-9));
    assertThat(right.meanShared(left)).isCloseTo(mean(units, 0, 9, 9, 14), within(1e-9));
    assertThat(left.meanWithin()).isCloseTo(mean(units, 0, 9, 0, 9), within(1e-9));
    assertThat(left.meanSharedWithOthers(Profile.of(units[3])))
        .isCloseTo(mean(units, 3, 4, 0, 9), within(1e-9));
    assertThat(Profile.of(new int[0]).meanShared(left)).isZero();
  }

  private static Profile profile(int[][] units, int from, int to) {
    return IntStream.range(from, to)
        .mapToObj(i -> Profile.of(units[i]))
        .reduce(Profile::plus)
        .orElseThrow();
  }

  /** Over all pairs of different units of the two ranges. */
  private static double mean(int[][] units, int from, int to, int otherFrom, int otherTo) {
    double sum = 0;
    int pairs = 0;
    for (int a = from; a < to; a++) {
      for (int b = otherFrom; b < otherTo; b++) {
        if (a != b) {
          Set<Integer> both = new HashSet<>(IntStream.of(units[a]).boxed().toList());
          both.retainAll(IntStream.of(units[b]).boxed().toList());
          sum += both.size();
          pairs++;
        }
      }
    }
    return sum / pairs;
  }

  @Test
  void twoClustersJoinOnlyWhenTheirUnitsShareEnoughOnAverage() {
    String[] siblings = {"abcdefgh", "abcdefgi", "nopqrsabc", "nopqrstbc"};
    Communities two = joined(siblings);
    assertThat(two.find(0)).isEqualTo(two.find(1)).isNotEqualTo(two.find(2));
    assertThat(two.find(2)).isEqualTo(two.find(3));
    Communities one = joined("abcdefgh", "abcdefgi", "nopqabcd", "nopsabcd");
    assertThat(one.find(0)).isEqualTo(one.find(3));
  }

  @Test
  void aChainOfWeakLinksJoinsNothing() {
    Communities chain = joined("abcdefgh", "fghijklm", "klmnopqr", "pqrstuvw");
    assertThat(IntStream.range(0, 4).map(chain::find).distinct().count()).isGreaterThan(1);
  }

  @Test
  void whatWasKeptApartIsNeverJoined() {
    String[] alike = {"abcdefgh", "abcdefgh", "abcdefgi", "abcdefgi"};
    PageIndex index = lettered(alike);
    Communities communities = new Communities(index, index.neighbours(3), 3);
    communities.keepTogether(List.of(0, 1), false);
    communities.keepTogether(List.of(2), false);
    communities.join();
    assertThat(communities.find(0)).isEqualTo(communities.find(1));
    assertThat(communities.find(0)).isNotEqualTo(communities.find(2));
    assertThat(communities.find(3)).isEqualTo(communities.find(2));
  }

  private static Communities joined(String... units) {
    PageIndex index = lettered(units);
    Communities communities = new Communities(index, index.neighbours(3), 3);
    communities.join();
    return communities;
  }

  /** Units whose pages are letters. */
  private static PageIndex lettered(String... units) {
    return new PageIndex(Stream.of(units).map(u -> numbered(u.chars().boxed())).toList());
  }

  @Test
  void betweenTwoGroupsThatPagesPutAUnitIntoItsWordsDecide() {
    String[] pages = {"abcdefg", "abcdefg", "tuvwxyz", "tuvwxyz", "abcduvwx"};
    List<Set<String>> words =
        List.of(
            Set.of("kiln", "shelf"),
            Set.of("kiln", "prop"),
            Set.of("glaze", "bucket"),
            Set.of("glaze", "sieve"),
            Set.of("glaze", "lid"));
    PageIndex index = lettered(pages);
    boolean[] none = new boolean[5];
    boolean[] all = {true, true, true, true, true};
    Settling settling = new Settling(index, index.neighbours(3), words, none, none);
    assertThat(settling.settle(new int[] {0, 0, 2, 2, 0})).containsExactly(0, 0, 2, 2, 2);
    Settling held = new Settling(index, index.neighbours(3), words, all, none);
    assertThat(held.settle(new int[] {0, 0, 2, 2, 0})).containsExactly(0, 0, 2, 2, 0);
    Settling shut =
        new Settling(
            index,
            index.neighbours(3),
            words,
            new boolean[] {false, false, true, true, false},
            new boolean[] {false, false, true, true, false});
    assertThat(shut.settle(new int[] {0, 0, 2, 2, 0})).containsExactly(0, 0, 2, 2, 0);
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

  private static Demand demand(Keyword... keywords) {
    return Demand.of(List.of(keywords), new Variants(new Stems()));
  }

  private static Keyword keyword(String text, Long volume, Integer difficulty) {
    return new Keyword(
        text, volume == null ? null : Volume.exactly(volume), difficulty, null, null, List.of());
  }
}
