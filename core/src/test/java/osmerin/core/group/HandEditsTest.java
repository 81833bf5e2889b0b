package osmerin.core.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
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
import osmerin.core.group.Cohesion.Doubt;
import osmerin.core.group.FullRun.Move;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.keyword.Keyword;

/** Locked groups, full runs that respect what people did, and what a person looks at before. */
class HandEditsTest {
  private static final Grouping LOOSE = new Grouping(GroupingSettings.DEFAULT);

  @ParameterizedTest
  @EnumSource(Mode.class)
  void aLockedGroupTakesNoOtherKeyword(Mode mode) {
    List<Keyword> keywords =
        List.of(
            keyword("eel trap", 900, "t", 0, 8),
            keyword("eel traps", 90, "t", 0, 8),
            keyword("catch eels", 50, "t", 0, 8),
            keyword("eel trap plans", 40, "", 0, 0));
    List<KeywordGroup> groups =
        new Grouping(new GroupingSettings(3, 10, mode))
            .group(keywords, List.of(new HeldGroup("1", Set.of("eel trap"), true)));
    assertThat(texts(byKey(groups, "1"))).containsExactly("eel trap");
  }

  @Test
  void describesAGroupWhoseMembersHaveNothingInCommon() {
    KeywordGroup group =
        LOOSE.describe(
            "7",
            List.of(keyword("rye bread", 50, "r", 0, 5), keyword("eel trap", 900, "t", 0, 8)),
            null);
    assertThat(group.keptAs()).isEqualTo("7");
    assertThat(texts(group)).containsExactly("eel trap", "rye bread");
    assertThat(group.demand().searches()).isEqualTo(950);
  }

  @Test
  void aFullRunMovesWhatIsFreeAndLeavesWhatIsPinned() {
    List<Keyword> keywords =
        List.of(
            keyword("eel trap", 900, "t", 0, 8),
            keyword("catch eels", 500, "t", 0, 8),
            keyword("eel net", 300, "t", 0, 8),
            keyword("rye bread", 200, "r", 0, 8));
    FullRun run =
        FullRun.of(
            GroupingSettings.DEFAULT,
            keywords,
            List.of(
                standing("1", Set.of("eel trap"), Set.of()),
                standing("2", Set.of("catch eels", "eel net"), Set.of("eel net")),
                standing("3", Set.of("rye bread"), Set.of())));
    assertThat(texts(byKey(run.groups(), "2"))).contains("eel net", "catch eels", "eel trap");
    assertThat(run.moves())
        .extracting(m -> m.keyword().text(), Move::from)
        .containsExactly(org.assertj.core.groups.Tuple.tuple("eel trap", "1"));
    assertThat(run.ended()).containsExactly("1");
    assertThat(texts(byKey(run.groups(), "3"))).containsExactly("rye bread");
  }

  @Test
  void aFullRunNeverJoinsWhatAPersonPutApart() {
    List<Keyword> keywords =
        List.of(keyword("eel trap", 900, "t", 0, 8), keyword("catch eels", 500, "t", 0, 8));
    FullRun run =
        FullRun.of(
            GroupingSettings.DEFAULT,
            keywords,
            List.of(
                standing("1", Set.of("eel trap"), Set.of("eel trap")),
                standing("2", Set.of("catch eels"), Set.of("catch eels"))));
    assertThat(run.groups()).hasSize(2);
    assertThat(run.moves()).isEmpty();
  }

  @Test
  void whatIsPinnedIsAMember() {
    assertThatThrownBy(() -> standing("1", Set.of("eel trap"), Set.of("rye bread")))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("rye bread");
  }

  /** Random groups, random pins and locks: what a person did stands after any run. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
  void aFullRunKeepsEveryHandEditAndDoesNotDependOnOrder(long seed) {
    Random random = new Random(seed);
    List<Keyword> keywords = new ArrayList<>();
    for (int i = 0; i < 120; i++) {
      int from = random.nextInt(60);
      String text = Integer.toString(random.nextInt(900) + 36, 36) + " " + (char) ('a' + i % 26);
      keywords.add(keyword(text, random.nextInt(500), "p", from, from + (i % 9 == 0 ? 0 : 8)));
    }
    Map<String, Set<String>> members = new HashMap<>();
    keywords.forEach(k -> members.computeIfAbsent("" + random.nextInt(25), g -> new HashSet<>()));
    List<String> keys = members.keySet().stream().sorted().toList();
    keywords.stream()
        .map(Keyword::normal)
        .distinct()
        .sorted()
        .forEach(n -> members.get(keys.get(random.nextInt(keys.size()))).add(n));
    List<StandingGroup> standing = new ArrayList<>();
    members.forEach(
        (key, its) -> {
          Set<String> pinned =
              its.stream()
                  .filter(n -> Math.floorMod(n.hashCode() + seed, 4) == 0)
                  .collect(Collectors.toSet());
          standing.add(new StandingGroup(key, its, pinned, Integer.parseInt(key) % 7 == 0));
        });
    FullRun run = FullRun.of(GroupingSettings.DEFAULT, keywords, standing);
    for (StandingGroup group : standing) {
      if (group.locked() && !group.members().isEmpty()) {
        assertThat(normals(byKey(run.groups(), group.key()))).isEqualTo(group.members());
      } else if (!group.pinned().isEmpty()) {
        assertThat(normals(byKey(run.groups(), group.key()))).containsAll(group.pinned());
      }
    }
    assertThat(run.groups().stream().map(KeywordGroup::keptAs).filter(k -> k != null))
        .doesNotHaveDuplicates();
    Collections.shuffle(keywords, random);
    Collections.shuffle(standing, random);
    assertThat(FullRun.of(GroupingSettings.DEFAULT, keywords, standing)).isEqualTo(run);
  }

  @Test
  void aSecondFullRunMovesNothing() {
    List<Keyword> keywords =
        IntStream.range(0, 90)
            .mapToObj(
                i ->
                    keyword(
                        "word" + (char) ('a' + i % 26) + i, 900 - i, "p" + i / 9, i % 3, i % 3 + 7))
            .toList();
    FullRun first = FullRun.of(GroupingSettings.DEFAULT, keywords, List.of());
    List<StandingGroup> standing =
        first.groups().stream()
            .map(g -> standing(g.primary().normal(), normals(g), Set.of()))
            .toList();
    FullRun second = FullRun.of(GroupingSettings.DEFAULT, keywords, standing);
    assertThat(second.moves()).isEmpty();
    assertThat(second.ended()).isEmpty();
  }

  @Test
  void doubtfulMembersComeFirst() {
    Cohesion cohesion =
        Cohesion.of(
            List.of(
                keyword("eel trap", 900, "t", 0, 10),
                keyword("catch eels", 500, "t", 0, 10),
                keyword("trap for eels at night", 300, "t", 0, 10),
                keyword("fish ladder", 200, "t", 8, 18),
                keyword("night eel", 20, "", 0, 0),
                keyword("rye bread", 10, "", 0, 0)),
            10);
    assertThat(cohesion.fits().get(0).keyword().text()).isEqualTo("rye bread");
    assertThat(cohesion.fits().get(0).doubt()).isEqualTo(Doubt.STRANGE_WORDS);
    assertThat(cohesion.fits().get(1).keyword().text()).isEqualTo("fish ladder");
    assertThat(cohesion.fits().get(1).doubt()).isEqualTo(Doubt.FEW_PAGES);
    assertThat(cohesion.fits().subList(2, 6)).allMatch(fit -> fit.doubt() == null);
    // Three share ten pages with each other and two with the fourth: 3·(10+10+2) + 3·2 of 40·3.
    assertThat(cohesion.tightness()).isEqualTo(72 / 120.0);
  }

  @Test
  void oneKeywordWithPagesSaysNothingOfTightness() {
    assertThat(Cohesion.of(List.of(keyword("eel trap", 900, "t", 0, 10)), 10).tightness()).isNull();
  }

  @Test
  void twoKeywordsShareThePagesThatRankForBothWithTheirPlaces() {
    SharedEvidence shared =
        SharedEvidence.of(
            keyword("eel traps", 900, "t", 0, 10), keyword("a trap for eels", 1, "t", 7, 17), 10);
    assertThat(shared.pages())
        .extracting(p -> p.first() + "/" + p.second())
        .containsExactly("8/1", "9/2", "10/3");
    assertThat(shared.words()).containsExactly("eel", "traps");
  }

  @Test
  void aSplitIsProposedWhereTheGroupComesApart() {
    List<Keyword> members =
        List.of(
            keyword("eel trap", 900, "t", 0, 10),
            keyword("catch eels", 500, "t", 0, 10),
            keyword("smoked eel", 300, "t", 6, 16),
            keyword("eel smoker", 200, "t", 6, 16));
    SplitProposal split = SplitProposal.of(members, new GroupingSettings(2, 10, Mode.LOOSE));
    assertThat(split.parts())
        .extracting(HandEditsTest::texts)
        .containsExactly(List.of("eel trap", "catch eels"), List.of("smoked eel", "eel smoker"));
    assertThat(SplitProposal.of(members.subList(0, 2), GroupingSettings.DEFAULT).parts()).isEmpty();
  }

  private static StandingGroup standing(String key, Set<String> members, Set<String> pinned) {
    return new StandingGroup(key, members, pinned, false);
  }

  private static KeywordGroup byKey(List<KeywordGroup> groups, String key) {
    return groups.stream().filter(g -> key.equals(g.keptAs())).findFirst().orElseThrow();
  }

  private static List<String> texts(KeywordGroup group) {
    return group.members().stream().map(m -> m.keyword().text()).toList();
  }

  private static Set<String> normals(KeywordGroup group) {
    return group.members().stream().map(m -> m.keyword().normal()).collect(Collectors.toSet());
  }

  private static Keyword keyword(String text, long volume, String pages, int from, int to) {
    return Keyword.of(
        text, volume, IntStream.range(from, to).mapToObj(i -> pages + ".example/" + i).toList());
  }
}
