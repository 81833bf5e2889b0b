package osmerin.core.group;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.group.Membership.Basis;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.MadeMeaning;
import osmerin.core.text.Language;

/** Grouping where pages are missing. */
class MeaningGroupingTest {
  private static final Map<String, String> SAME =
      Map.of("loaf", "bread", "kayak", "boat", "canoe", "boat", "fyke", "net");
  private static final String[] WORDS = {
    "bread", "loaf", "boat", "kayak", "canoe", "net", "fyke", "smoke", "oven", "yeast", "river"
  };

  private final MadeMeaning meaning = new MadeMeaning(SAME);

  @ParameterizedTest
  @EnumSource
  void wordsOfOneMeaningMeet(Mode mode) {
    List<KeywordGroup> groups =
        grouping(mode).group(keywords("rye bread", "rye loaf", "river boat", "river canoe"));
    assertThat(shape(groups))
        .containsExactlyInAnyOrder(
            Set.of("rye bread", "rye loaf"), Set.of("river boat", "river canoe"));
  }

  @Test
  void aMemberSaysHowNearItIsAndToWhom() {
    KeywordGroup group = grouping(Mode.LOOSE).group(keywords("rye bread", "rye loaf")).get(0);
    Membership member = group.members().get(1);
    assertThat(member.basis()).isEqualTo(Basis.MEANING);
    assertThat(member.nearToPrimary()).isGreaterThan(0.43);
    assertThat(member.sharedWithPrimary()).isZero();
  }

  @ParameterizedTest
  @EnumSource
  void howToBuyingAndComparingNeverShareAGroupOnMeaningAlone(Mode mode) {
    List<KeywordGroup> groups =
        grouping(mode).group(keywords("how to smoke eel", "best smoke eel", "buy smoke eel"));
    assertThat(shape(groups))
        .contains(Set.of("how to smoke eel"), Set.of("best smoke eel"), Set.of("buy smoke eel"));
  }

  @Test
  void anIntentThatOnlyAFileClaimsSplitsNothingNorDoesAYear() {
    Keyword claimed =
        keyword("rye loaf", 5).withIntent(osmerin.core.intent.SearchIntent.TRANSACTIONAL);
    List<KeywordGroup> groups =
        grouping(Mode.LOOSE)
            .group(List.of(keyword("rye bread", 9), claimed, keyword("rye bread 2026", 3)));
    assertThat(groups).hasSize(1);
  }

  @Test
  void languagesJoinOnlyOnPages() {
    List<Keyword> keywords =
        List.of(
            keyword("rye bread", 9).in(Language.ENGLISH),
            keyword("rye breads", 5).in(Language.DUTCH));
    assertThat(grouping(Mode.LOOSE).group(keywords)).hasSize(2);
    List<String> pages = pages("p", 8);
    List<Keyword> ranked =
        List.of(
            Keyword.of("rye bread", 9L, pages).in(Language.ENGLISH),
            Keyword.of("rye breads", 5L, pages).in(Language.DUTCH));
    assertThat(grouping(Mode.LOOSE).group(ranked)).hasSize(1);
  }

  @Test
  void onlyKeywordsWhosePagesTellTooLittleAreAskedForTheirMeaning() {
    List<Keyword> keywords = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      keywords.add(Keyword.of("thing" + i, 10L, pages("s" + i, 8)));
    }
    grouping(Mode.LOOSE).group(keywords);
    assertThat(meaning.asked()).isEmpty();
    keywords.add(Keyword.of("rye bread", 10L, pages("t", 2)));
    grouping(Mode.LOOSE).group(keywords);
    assertThat(meaning.asked()).contains("rye bread");
  }

  @Test
  void keywordsWithoutPagesJoinGroupsThatHaveSome() {
    List<Keyword> keywords =
        List.of(
            Keyword.of("rye bread", 90L, pages("a", 8)),
            Keyword.of("bake rye", 80L, pages("a", 8)),
            Keyword.of("river boat", 70L, pages("b", 8)),
            keyword("rye loaf", 5));
    assertThat(shape(grouping(Mode.LOOSE).group(keywords)))
        .contains(Set.of("rye bread", "bake rye", "rye loaf"));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void neitherOrderNorASecondRunNorVolumesChangeWhoIsTogether(long seed) {
    Random random = new Random(seed);
    List<Keyword> keywords = random(random, 60);
    List<KeywordGroup> once = grouping(Mode.LOOSE).group(keywords);
    List<Keyword> shuffled = new ArrayList<>(keywords);
    Collections.shuffle(shuffled, random);
    assertThat(grouping(Mode.LOOSE).group(shuffled)).isEqualTo(once);
    List<Keyword> others =
        keywords.stream()
            .map(k -> Keyword.of(k.text(), 1L + random.nextInt(900), List.of()))
            .toList();
    assertThat(Set.copyOf(shape(grouping(Mode.LOOSE).group(others))))
        .isEqualTo(Set.copyOf(shape(once)));
    FullRun again = FullRun.of(GroupingSettings.DEFAULT, meaning, keywords, standing(once));
    assertThat(again.moves()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14})
  void anImportOnTopSplitsNoGroup(long seed) {
    Random random = new Random(seed);
    List<Keyword> first = random(random, 40);
    List<KeywordGroup> before = grouping(Mode.LOOSE).group(first);
    List<Keyword> all = new ArrayList<>(first);
    all.addAll(random(random, 25));
    List<HeldGroup> held =
        IntStream.range(0, before.size())
            .mapToObj(i -> new HeldGroup("g" + i, normals(before.get(i)), false))
            .toList();
    List<KeywordGroup> after = grouping(Mode.LOOSE).group(all, held);
    for (int i = 0; i < before.size(); i++) {
      String key = "g" + i;
      KeywordGroup kept =
          after.stream().filter(g -> key.equals(g.keptAs())).findFirst().orElseThrow();
      assertThat(normals(kept)).containsAll(normals(before.get(i)));
    }
  }

  @Test
  void theDialPutsMoreTogetherOrMoreApart() {
    List<Keyword> keywords = random(new Random(21), 80);
    int together =
        new Grouping(GroupingSettings.DEFAULT.withNear(30), meaning).group(keywords).size();
    int apart = new Grouping(GroupingSettings.DEFAULT.withNear(60), meaning).group(keywords).size();
    assertThat(together).isLessThan(apart);
  }

  private Grouping grouping(Mode mode) {
    return new Grouping(new GroupingSettings(3, 10, mode), meaning);
  }

  private static List<StandingGroup> standing(List<KeywordGroup> groups) {
    return IntStream.range(0, groups.size())
        .mapToObj(i -> new StandingGroup("g" + i, normals(groups.get(i)), Set.of(), false))
        .toList();
  }

  private static List<Keyword> random(Random random, int count) {
    Set<String> texts = new HashSet<>();
    while (texts.size() < count) {
      texts.add(
          WORDS[random.nextInt(WORDS.length)]
              + " "
              + WORDS[random.nextInt(WORDS.length)]
              + (random.nextBoolean() ? " " + WORDS[random.nextInt(WORDS.length)] : ""));
    }
    return texts.stream().sorted().map(text -> keyword(text, 1 + random.nextInt(500))).toList();
  }

  private static List<Keyword> keywords(String... texts) {
    return IntStream.range(0, texts.length)
        .mapToObj(i -> keyword(texts[i], 900 - 100 * i))
        .toList();
  }

  private static Keyword keyword(String text, long searches) {
    return Keyword.of(text, searches, List.of()).in(Language.ENGLISH);
  }

  private static List<String> pages(String site, int count) {
    return IntStream.range(0, count).mapToObj(i -> site + ".example/" + i).toList();
  }

  private static Set<String> normals(KeywordGroup group) {
    return group.members().stream().map(m -> m.keyword().normal()).collect(Collectors.toSet());
  }

  private static List<Set<String>> shape(List<KeywordGroup> groups) {
    return groups.stream().map(MeaningGroupingTest::normals).toList();
  }
}
