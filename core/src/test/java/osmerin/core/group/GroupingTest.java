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
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.group.Membership.Basis;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;

class GroupingTest {
  private static final Grouping LOOSE = new Grouping(GroupingSettings.DEFAULT);
  private static final Grouping STRICT = new Grouping(new GroupingSettings(3, 10, Mode.STRICT));

  @Test
  void keywordsAnsweredByTheSamePagesStandTogether() {
    List<KeywordGroup> groups =
        LOOSE.group(
            List.of(
                keyword("glaze crawling", 900L, pages("g", 0, 8)),
                keyword("why does glaze bead up", 200L, pages("g", 2, 9)),
                keyword("kiln wiring", 300L, pages("k", 0, 8))));
    assertThat(shape(groups))
        .containsExactly(
            List.of("glaze crawling", "why does glaze bead up"), List.of("kiln wiring"));
    Membership second = groups.get(0).members().get(1);
    assertThat(second.basis()).isEqualTo(Basis.PAGES);
    assertThat(second.sharedWithPrimary()).isEqualTo(6);
    assertThat(second.sharedWords()).containsExactly("glaze");
  }

  @Test
  void twoSharedPagesAreNotEnough() {
    assertThat(
            LOOSE.group(
                List.of(
                    keyword("glaze crawling", 900L, pages("g", 0, 8)),
                    keyword("glaze recipes", 200L, pages("g", 6, 14)))))
        .hasSize(2);
  }

  @Test
  void aChainOfWeakLinksHoldsNoGroupTogether() {
    List<Keyword> chain =
        IntStream.range(0, 8)
            .mapToObj(i -> keyword(word(i), 100L - i, pages("c", i * 7, i * 7 + 10)))
            .toList();
    assertThat(LOOSE.group(chain)).hasSizeGreaterThan(3);
  }

  @Test
  void closeVariantsShareAGroupWhateverRanksForThem() {
    List<KeywordGroup> groups =
        LOOSE.group(
            List.of(
                keyword("throwing clay", 500L, pages("t", 0, 8)),
                keyword("clay for throwing", 500L, pages("x", 0, 8))));
    assertThat(groups).hasSize(1);
    assertThat(groups.get(0).demand().searches()).isEqualTo(500);
    assertThat(groups.get(0).members().get(1).basis()).isEqualTo(Basis.VARIANT);
  }

  @Test
  void wordsDecideOnlyWithoutRankingPages() {
    List<Keyword> keywords =
        List.of(
            keyword("kiln shelf repair", 90L, pages("a", 0, 8)),
            keyword("repair cracked kiln shelf", 40L, pages("b", 0, 8)),
            keyword("kiln shelf repair mortar", 20L, List.of()));
    List<KeywordGroup> groups = LOOSE.group(keywords);
    assertThat(groups).hasSize(2);
    assertThat(groups.get(0).members().get(1).basis()).isEqualTo(Basis.WORDS);
  }

  @Test
  void oppositeIntentsAreNotJoinedOnWords() {
    assertThat(
            LOOSE.group(
                List.of(
                    keyword("pottery wheel", 900L, List.of()),
                    keyword("buy pottery wheel", 300L, List.of()))))
        .hasSize(2);
  }

  @Test
  void aKeywordIsListedOnceHoweverItIsSpelled() {
    List<KeywordGroup> groups =
        LOOSE.group(List.of(keyword("Raku", 10L, List.of()), keyword(" raku ", 40L, List.of())));
    assertThat(shape(groups)).containsExactly(List.of("raku"));
  }

  @Test
  void unknownVolumesAreSaidAndNeverCountAsNothing() {
    Keyword known = keyword("glaze crawling", 900L, pages("g", 0, 8));
    Keyword unknown = keyword("glaze beading", null, pages("g", 0, 8));
    Demand partly = LOOSE.group(List.of(known, unknown)).get(0).demand();
    assertThat(partly.searches()).isEqualTo(900);
    assertThat(partly.atLeast()).isTrue();
    assertThat(LOOSE.group(List.of(unknown)).get(0).demand().searches()).isNull();
  }

  @Test
  void intentFollowsMostOfTheDemand() {
    List<String> pages = pages("w", 0, 8);
    List<KeywordGroup> groups =
        LOOSE.group(
            List.of(
                keyword("best pottery wheel", 900L, pages),
                keyword("pottery wheel guide", 100L, pages)));
    assertThat(groups.get(0).intent()).isEqualTo(SearchIntent.COMMERCIAL);
    assertThat(groups.get(0).intentReason()).contains("best");
  }

  @Test
  void existingGroupsKeepTheirMembersAndNewKeywordsFindTheirPlace() {
    List<Keyword> keywords =
        List.of(
            keyword("glaze crawling", 900L, pages("g", 0, 8)),
            keyword("kiln wiring", 300L, pages("g", 0, 8)),
            keyword("crawling of glazes", 30L, List.of()),
            keyword("glaze beads up", 20L, pages("g", 0, 8)),
            keyword("slab roller", 50L, pages("s", 0, 8)));
    List<KeywordGroup> groups =
        LOOSE.group(
            keywords,
            List.of(
                new HeldGroup("1", Set.of("glaze crawling"), false),
                new HeldGroup("2", Set.of("kiln wiring"), false)));
    assertThat(groups).extracting(KeywordGroup::keptAs).containsExactlyInAnyOrder("1", "2", null);
    KeywordGroup first = byKey(groups, "1");
    assertThat(first.members()).extracting(m -> m.keyword().text()).contains("crawling of glazes");
    assertThat(byKey(groups, "2").primary().text()).isEqualTo("kiln wiring");
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void isAPartitionThatDoesNotDependOnTheOrderOfItsInput(long seed) {
    List<Keyword> keywords = new ArrayList<>(random(seed).keywords());
    for (Grouping grouping : List.of(LOOSE, STRICT)) {
      List<List<String>> once = shape(grouping.group(keywords));
      Collections.shuffle(keywords, new Random(seed * 31));
      assertThat(shape(grouping.group(keywords))).isEqualTo(once);
      assertThat(once.stream().flatMap(List::stream))
          .containsExactlyInAnyOrderElementsOf(
              keywords.stream().map(Keyword::text).collect(Collectors.toSet()));
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"a", "b", "c", "d"})
  void whoHasMostVolumeDoesNotDecideWhoIsTogether(String most) {
    List<KeywordGroup> groups =
        LOOSE.group(
            List.of(
                ranked("alder", "a".equals(most), IntStream.rangeClosed(1, 10)),
                ranked(
                    "birch",
                    "b".equals(most),
                    IntStream.concat(IntStream.rangeClosed(1, 7), IntStream.rangeClosed(21, 23))),
                ranked(
                    "cedar",
                    "c".equals(most),
                    IntStream.concat(IntStream.rangeClosed(5, 10), IntStream.rangeClosed(31, 34))),
                ranked(
                    "damson",
                    "d".equals(most),
                    IntStream.concat(
                        IntStream.of(31, 32, 33, 34, 10), IntStream.rangeClosed(41, 45)))));
    assertThat(shape(groups).stream().map(Set::copyOf))
        .containsExactlyInAnyOrder(Set.of("alder", "birch"), Set.of("cedar", "damson"));
  }

  private static Keyword ranked(String text, boolean most, IntStream pages) {
    return keyword(text, most ? 900L : 90L, pages.mapToObj(p -> "p.example/" + p).toList());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void volumesChangeNamesNeverMembers(long seed) {
    Random random = new Random(seed);
    List<Keyword> keywords = random(seed).keywords();
    List<Keyword> otherwise =
        keywords.stream()
            .map(
                k ->
                    Keyword.of(
                        k.text(),
                        (long) random.nextInt(5000),
                        k.pages().stream().map(Object::toString).toList()))
            .toList();
    assertThat(LOOSE.group(otherwise).stream().map(GroupingTest::normals))
        .containsExactlyInAnyOrderElementsOf(
            LOOSE.group(keywords).stream().map(GroupingTest::normals).toList());
  }

  @ParameterizedTest
  @ValueSource(ints = {10, 257, 3000})
  void anyNumberOfKeywordsOfTheSamePagesIsOneGroup(int size) {
    List<Keyword> keywords =
        IntStream.range(0, size)
            .mapToObj(i -> keyword(word(i), (long) i, pages("same", 0, 10)))
            .toList();
    for (Grouping grouping : List.of(LOOSE, STRICT)) {
      List<KeywordGroup> groups = grouping.group(keywords);
      assertThat(groups).hasSize(1);
      assertThat(groups.get(0).members())
          .allSatisfy(m -> assertThat(m.sharedWithPrimary()).isEqualTo(10));
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14})
  void addingKeywordsNeverMovesWhatIsGrouped(long seed) {
    List<Keyword> keywords = random(seed).keywords();
    List<KeywordGroup> before = LOOSE.group(keywords.subList(0, keywords.size() / 2));
    List<HeldGroup> held =
        before.stream().map(g -> new HeldGroup(g.primary().normal(), normals(g), false)).toList();
    for (Grouping grouping : List.of(LOOSE, STRICT)) {
      List<KeywordGroup> after = grouping.group(keywords, held);
      held.forEach(
          group -> assertThat(normals(byKey(after, group.key()))).containsAll(group.members()));
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {21, 22, 23})
  void strictMembersShareEnoughWithThePrimaryKeyword(long seed) {
    for (KeywordGroup group : STRICT.group(random(seed).keywords())) {
      group.members().stream()
          .filter(m -> m.basis() == Basis.PAGES)
          .forEach(m -> assertThat(m.sharedWithPrimary()).isGreaterThanOrEqualTo(3));
      assertThat(group.members())
          .extracting(Membership::keyword)
          .isSortedAccordingTo(Grouping.PRIMARY_FIRST);
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {31, 32, 33, 34, 35})
  void findsTheGroupsOfALabelledSet(long seed) {
    Labelled set = random(seed);
    assertThat(bCubed(LOOSE.group(set.keywords()), set.labels()))
        .as("B-cubed F1")
        .isGreaterThan(0.93);
  }

  @ParameterizedTest
  @ValueSource(ints = {40, 300})
  void aPageThatRanksForEverythingProvesNothing(int size) {
    List<Keyword> keywords =
        IntStream.range(0, size)
            .mapToObj(
                i -> {
                  List<String> pages = new ArrayList<>(pages("hub", 0, 4));
                  pages.addAll(pages("own" + i, 0, 6));
                  return keyword(word(i), 10L, pages);
                })
            .toList();
    assertThat(LOOSE.group(keywords)).hasSize(size);
  }

  @Test
  void oneArticlesKeywordsStayOneGroupThoughTheirPagesRankForMostOfTheSet() {
    Random random = new Random(8);
    List<Keyword> keywords =
        IntStream.range(0, 40)
            .mapToObj(
                i -> {
                  List<String> pool = new ArrayList<>(pages("own", 0, 11));
                  Collections.shuffle(pool, random);
                  return keyword(word(i), 10L, pool.subList(0, 9));
                })
            .toList();
    assertThat(LOOSE.group(keywords)).hasSize(1);
  }

  @Test
  void siblingsThatShareHubPagesStayTwo() {
    List<Keyword> keywords = new ArrayList<>();
    for (int i = 0; i < 16; i++) {
      List<String> pages = new ArrayList<>(pages("hub", 0, 3));
      pages.addAll(pages(i % 2 == 0 ? "left" : "right", 0, 6));
      keywords.add(keyword(word(i), 100L - i, pages));
    }
    keywords.add(keyword(word(17), 5L, pages("hub", 0, 3)));
    List<KeywordGroup> groups = LOOSE.group(keywords);
    assertThat(groups.stream().filter(g -> g.members().size() >= 8)).hasSize(2);
  }

  @ParameterizedTest
  @ValueSource(strings = {"kiln", "lathe"})
  void aKeywordBetweenTwoGroupsGoesToTheOneWhoseWordsItHas(String its) {
    List<Keyword> keywords = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      String own = i % 2 == 0 ? "kiln" : "lathe";
      keywords.add(keyword(own + " " + word(i), 100L - i, pages(own, 0, 8)));
    }
    List<String> both = new ArrayList<>(pages("kiln", 0, 4));
    both.addAll(pages("lathe", 0, 4));
    keywords.add(keyword(its + " " + word(40), 1L, both));
    for (KeywordGroup group : LOOSE.group(keywords)) {
      assertThat(group.members())
          .extracting(m -> m.keyword().text().split(" ")[0])
          .containsOnly(group.primary().text().split(" ")[0]);
    }
  }

  /** Harmonic mean of B-cubed precision and recall (A. Bagga and B. Baldwin, 1998). */
  private static double bCubed(List<KeywordGroup> groups, Map<String, Integer> labels) {
    Map<Integer, Long> sizes =
        labels.values().stream().collect(Collectors.groupingBy(l -> l, Collectors.counting()));
    double precision = 0;
    double recall = 0;
    for (KeywordGroup group : groups) {
      for (Membership member : group.members()) {
        int label = labels.get(member.keyword().text());
        long same =
            group.members().stream().filter(m -> labels.get(m.keyword().text()) == label).count();
        precision += (double) same / group.members().size();
        recall += (double) same / sizes.get(label);
      }
    }
    double p = precision / labels.size();
    double r = recall / labels.size();
    return 2 * p * r / (p + r);
  }

  private record Labelled(List<Keyword> keywords, Map<String, Integer> labels) {}

  /** Groups of 1–20 keywords with 7–10 of the group's 14 pages each and some hubs. */
  private static Labelled random(long seed) {
    Random random = new Random(seed);
    List<Keyword> keywords = new ArrayList<>();
    Map<String, Integer> labels = new java.util.HashMap<>();
    for (int group = 0; group < 40; group++) {
      int members = 1 + random.nextInt(20);
      for (int i = 0; i < members; i++) {
        List<String> pool = new ArrayList<>(pages("group" + group, 0, 12));
        pool.addAll(pages("hub" + group / 2, 0, 2));
        Collections.shuffle(pool, random);
        String text = word(group * 31 + 7) + " " + word(1000 + group * 40 + i);
        keywords.add(
            keyword(text, (long) random.nextInt(2000), pool.subList(0, 7 + random.nextInt(4))));
        labels.put(text, group);
      }
    }
    Collections.shuffle(keywords, random);
    return new Labelled(keywords, labels);
  }

  /** A made-up word that is no variant of another. */
  private static String word(int i) {
    StringBuilder word = new StringBuilder();
    for (int rest = i + 500; rest > 0; rest /= 20) {
      word.append("bcdfghjklmnpqrtvwxzk".charAt(rest % 20)).append("aou".charAt(rest % 3));
    }
    return word + "k" + (char) ('a' + i % 26);
  }

  private static List<String> pages(String name, int from, int to) {
    return IntStream.range(from, to).mapToObj(i -> name + ".example/" + i).toList();
  }

  private static Keyword keyword(String text, @Nullable Long volume, List<String> pages) {
    return Keyword.of(text, volume, pages);
  }

  private static KeywordGroup byKey(List<KeywordGroup> groups, String key) {
    return groups.stream().filter(g -> key.equals(g.keptAs())).findFirst().orElseThrow();
  }

  private static Set<String> normals(KeywordGroup group) {
    return group.members().stream().map(m -> m.keyword().normal()).collect(Collectors.toSet());
  }

  private static List<List<String>> shape(List<KeywordGroup> groups) {
    return groups.stream()
        .map(g -> g.members().stream().map(m -> m.keyword().text()).toList())
        .toList();
  }

  @Test
  void wordsOfTheseTestsAreDistinct() {
    Set<String> words = new HashSet<>();
    IntStream.range(0, 2700).forEach(i -> assertThat(words.add(word(i))).isTrue());
  }
}
