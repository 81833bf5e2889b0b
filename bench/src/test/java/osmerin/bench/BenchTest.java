package osmerin.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import osmerin.core.evidence.PageKind;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.keyword.Keyword;

/** A wrong measure would praise a wrong grouping, so the measures are tested by hand. */
class BenchTest {
  private static final Map<String, Integer> LABELS =
      Map.of("a1", 1, "a2", 1, "a3", 1, "b1", 2, "b2", 2, "c1", 3);

  @Test
  void theTrueGroupsAreWithoutFault() {
    BCubed figures =
        BCubed.of(List.of(List.of("a1", "a2", "a3"), List.of("b1", "b2"), List.of("c1")), LABELS);
    assertThat(figures.precision()).isEqualTo(1);
    assertThat(figures.recall()).isEqualTo(1);
    assertThat(figures.f1()).isEqualTo(1);
  }

  @Test
  void everyKeywordAloneIsPreciseAndFindsLittle() {
    BCubed figures = BCubed.of(LABELS.keySet().stream().map(List::of).toList(), LABELS);
    assertThat(figures.precision()).isEqualTo(1);
    // Three find a third, two a half, one all.
    assertThat(figures.recall()).isCloseTo((3 / 3.0 + 2 / 2.0 + 1) / 6, within(1e-12));
  }

  @Test
  void allInOneGroupFindsAllAndIsNotPrecise() {
    BCubed figures = BCubed.of(List.of(List.copyOf(LABELS.keySet())), LABELS);
    assertThat(figures.recall()).isEqualTo(1);
    assertThat(figures.precision()).isCloseTo((9 + 4 + 1) / 36.0, within(1e-12));
  }

  @Test
  void aKeywordInTheWrongGroupCostsBoth() {
    BCubed figures =
        BCubed.of(List.of(List.of("a1", "a2"), List.of("a3", "b1", "b2"), List.of("c1")), LABELS);
    assertThat(figures.precision()).isCloseTo((2 + 1 / 3.0 + 2 * 2 / 3.0 + 1) / 6, within(1e-12));
    assertThat(figures.recall()).isCloseTo((2 * 2 / 3.0 + 1 / 3.0 + 2 + 1) / 6, within(1e-12));
  }

  @Test
  void aSeedMakesOneSetAndAnotherSeedAnother() {
    LabelledSet set = LabelledSet.of(small(), 1);
    assertThat(LabelledSet.of(small(), 1)).isEqualTo(set);
    assertThat(LabelledSet.of(small(), 2)).isNotEqualTo(set);
  }

  @Test
  void aMadeSetIsAsItsShapeSays() {
    Shape shape = small();
    LabelledSet set = LabelledSet.of(shape, 3);
    assertThat(set.labels()).hasSameSizeAs(set.keywords());
    assertThat(set.keywords()).allSatisfy(k -> assertThat(set.labels()).containsKey(k.normal()));
    assertThat(new HashSet<>(set.labels().values())).hasSize(shape.groups());
    Map<Integer, Long> sizes =
        set.labels().values().stream()
            .collect(Collectors.groupingBy(l -> l, Collectors.counting()));
    assertThat(sizes.values()).allMatch(size -> size <= shape.largest());
    long bare = set.keywords().stream().filter(k -> k.pages().isEmpty()).count();
    assertThat((double) bare / set.keywords().size()).isCloseTo(0.08, within(0.05));
  }

  @Test
  void whatIsLabelledByHandIsReadWhole() {
    LabelledSet set = LabelledFile.BY_HAND.read();
    assertThat(set.keywords()).hasSize(300).doesNotHaveDuplicates();
    assertThat(set.labels()).hasSize(300);
    assertThat(set.keywords()).allSatisfy(k -> assertThat(k.pages()).isNotEmpty());
    assertThat(set.labels().get("the rind of a cheese"))
        .isNotEqualTo(set.labels().get("cheese containing a blue mold"));
    assertThat(set.labels().get("blue cheese of denmark"))
        .isEqualTo(set.labels().get("cheese containing a blue mold"));
  }

  @Test
  void thePlainWayJoinsTheBestEarlierSeedOfThreePages() {
    Collection<List<String>> groups =
        EarlierSeed.group(
            List.of(
                keyword("eel trap", 900, 1, 2, 3, 4),
                keyword("rye bread", 800, 5, 6, 7, 8),
                keyword("catch eels", 300, 1, 2, 3, 9),
                keyword("eel net", 200, 1, 2, 9, 10),
                keyword("bread of eels", 100, 2, 3, 4, 6, 7, 8)));
    assertThat(groups)
        .containsExactlyInAnyOrder(
            List.of("eel trap", "catch eels", "bread of eels"),
            List.of("rye bread"),
            List.of("eel net"));
  }

  private static Keyword keyword(String text, long searches, int... pages) {
    return Keyword.of(
        text, searches, Arrays.stream(pages).mapToObj(p -> "p.example/" + p).toList());
  }

  @Test
  void ourWayIsWellAheadOfThePlainOneOnMadeSets() {
    LabelledSet set = LabelledSet.of(small(), 4);
    Set<List<String>> ours =
        new Grouping(GroupingSettings.DEFAULT)
            .group(set.keywords()).stream()
                .map(g -> g.members().stream().map(m -> m.keyword().normal()).toList())
                .collect(Collectors.toSet());
    double plain = BCubed.of(EarlierSeed.group(set.keywords()), set.labels()).f1();
    assertThat(BCubed.of(ours, set.labels()).f1()).isGreaterThan(plain + 0.03).isGreaterThan(0.93);
  }

  private static Shape small() {
    Shape p = Shape.PLAIN;
    return new Shape(
        120,
        p.largest(),
        p.ownPages(),
        p.hubs(),
        p.hubShare(),
        p.strayShare(),
        p.bridging(),
        p.withoutPages());
  }

  @Test
  void marksOfAPageAreReadAndGone() {
    MarkedPage page =
        MarkedPage.of(
            "a",
            "<!-- kind: how-to --><h2>{h:oven|{q|Is it hot?}}</h2><p>{p:hot|It is hot.} Or not.</p>"
                + "{-<p>Next: cats</p>-}");
    assertThat(page.kind()).isEqualTo(PageKind.HOW_TO);
    assertThat(page.html())
        .endsWith("<p>It is hot. Or not.</p><p>Next: cats</p>")
        .doesNotContain("{");
    assertThat(page.text()).isEqualTo("Is it hot? It is hot. Or not.");
    assertThat(page.words()).isEqualTo(8);
    assertThat(page.headings()).isEqualTo(Map.of("Is it hot?", "oven"));
    assertThat(page.points()).isEqualTo(Map.of("It is hot.", "hot"));
    assertThat(page.questions()).containsExactly("Is it hot?");
  }

  /** By words alone, as meaning takes longer than a test should. */
  @Test
  void untidyPagesAreReadAsAPersonReadsThem() {
    for (MarkedSubject subject : ReadingQuality.SUBJECTS) {
      ReadingQuality read = ReadingQuality.of(subject, null);
      assertThat(read.kinds()).as(subject.keyword()).isGreaterThanOrEqualTo(9);
      assertThat(read.length()).as(subject.keyword()).isGreaterThanOrEqualTo(9);
      assertThat(read.leaked()).as(subject.keyword()).hasSizeLessThanOrEqualTo(1);
      assertThat(read.terms().value()).as(subject.keyword()).isGreaterThanOrEqualTo(0.85);
      assertThat(read.questions().value()).as(subject.keyword()).isGreaterThanOrEqualTo(0.9);
      assertThat(read.falseQuestions()).as(subject.keyword()).isLessThanOrEqualTo(1);
      assertThat(read.points().found().value()).as(subject.keyword()).isGreaterThanOrEqualTo(0.6);
      assertThat(read.points().right().value()).as(subject.keyword()).isGreaterThanOrEqualTo(0.9);
    }
  }
}
