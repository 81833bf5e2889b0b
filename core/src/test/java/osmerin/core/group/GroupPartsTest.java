package osmerin.core.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.KeywordFigures;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Variants;
import osmerin.core.keyword.Volume;
import osmerin.core.linkage.PageIndex;
import osmerin.core.linkage.PageSums;
import osmerin.core.text.Stems;

/** The parts that grouping is made of. */
class GroupPartsTest {
  @Test
  void aPageWeighsLessTheMoreUnitsItRanksFor() {
    List<List<PageAddress>> pages =
        IntStream.range(0, 1000)
            .mapToObj(
                i ->
                    IntStream.of(1, 10, 100, 500, 1000)
                        .filter(units -> i < units)
                        .mapToObj(units -> new PageAddress("of" + units + ".example"))
                        .toList())
            .toList();
    PageIndex index = new PageIndex(pages);
    List<Integer> weights = IntStream.of(index.pages(0)).mapToObj(index::weight).toList();
    assertThat(weights).hasSize(4).isSortedAccordingTo(Comparator.reverseOrder());
    assertThat(weights.get(0)).isEqualTo(PageIndex.WHOLE);
    assertThat(weights.get(3)).isBetween(15, 20);
    assertThat(index.mass(999)).isEqualTo(weights.get(3));
  }

  @Test
  void theSamePagesAreLikeEachOtherInFullWhateverTheyWeigh() {
    PageIndex index = lettered("abcdefghij", "abcdefghij", "abcdefghij", "defghijklm", "z");
    assertThat(index.likeness(0, 1)).isEqualTo(10);
    assertThat(index.likeness(0, 3)).isBetween(5.0, 7.0);
    assertThat(index.likeness(3, 4)).isZero();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void unitsThatAreLikeEnoughHaveATellingPageInCommon(long seed) {
    Random random = new Random(seed);
    PageIndex index = lettered(random, 80, 20);
    for (int a = 0; a < index.units(); a++) {
      for (int b = 0; b < a; b++) {
        if (index.likeness(a, b) >= 3) {
          int other = b;
          Set<Integer> theirs =
              IntStream.of(index.telling(other, 3)).boxed().collect(Collectors.toSet());
          assertThat(IntStream.of(index.telling(a, 3)).boxed()).containsAnyElementsOf(theirs);
        }
      }
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {5, 6, 7, 8, 9, 10})
  void pageSumsSayTheMeanLikenessOfAllPairs(long seed) {
    PageIndex index = lettered(new Random(seed), 60, 25);
    PageSums left = PageSums.of(index, IntStream.range(0, 20).toArray());
    PageSums right =
        IntStream.range(20, 60)
            .mapToObj(unit -> PageSums.of(index, unit))
            .reduce(PageSums::plus)
            .orElseThrow();
    double across =
        IntStream.range(0, 20)
            .mapToDouble(a -> IntStream.range(20, 60).mapToDouble(b -> index.likeness(a, b)).sum())
            .sum();
    assertThat(left.mean(right)).isCloseTo(across / 800, within(1e-9));
    assertThat(right.mean(left)).isCloseTo(across / 800, within(1e-9));
    double others =
        IntStream.range(0, 20).filter(b -> b != 3).mapToDouble(b -> index.likeness(3, b)).sum();
    assertThat(left.meanWithOthers(PageSums.of(index, 3))).isCloseTo(others / 19, within(1e-9));
  }

  /** Units of 1–10 of so many pages, the first of which rank for more units. */
  private static PageIndex lettered(Random random, int units, int pages) {
    return new PageIndex(
        IntStream.range(0, units)
            .mapToObj(
                unit ->
                    random
                        .ints(1 + random.nextInt(10), 0, pages)
                        .map(page -> page * (1 + random.nextInt(pages)) / pages)
                        .distinct()
                        .boxed())
            .map(GroupPartsTest::numbered)
            .toList());
  }

  private static List<PageAddress> numbered(Stream<Integer> pages) {
    return pages.map(p -> new PageAddress("p" + p + ".example")).toList();
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
    Settling settling = new Settling(index, 3, words, none, none);
    assertThat(settling.settle(new int[] {0, 0, 2, 2, 0})).containsExactly(0, 0, 2, 2, 2);
    Settling held = new Settling(index, 3, words, all, none);
    assertThat(held.settle(new int[] {0, 0, 2, 2, 0})).containsExactly(0, 0, 2, 2, 0);
    Settling shut =
        new Settling(
            index,
            3,
            words,
            new boolean[] {false, false, true, true, false},
            new boolean[] {false, false, true, true, false});
    assertThat(shut.settle(new int[] {0, 0, 2, 2, 0})).containsExactly(0, 0, 2, 2, 0);
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
    Volume searches = volume == null ? null : Volume.exactly(volume);
    return new Keyword(text, new KeywordFigures(searches, difficulty, null), null, List.of());
  }
}
