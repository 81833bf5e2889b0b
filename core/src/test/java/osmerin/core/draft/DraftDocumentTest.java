package osmerin.core.draft;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.Outline;
import osmerin.core.brief.Outline.Section;
import osmerin.core.draft.CheckResult.Check;
import osmerin.core.draft.DraftDocument.Heading;
import osmerin.core.draft.DraftDocument.Text;
import osmerin.core.evidence.Term;
import osmerin.core.evidence.WordRange;
import osmerin.core.text.Verdict;

class DraftDocumentTest {
  @Test
  void theTitleIsNoPartOfTheLength() {
    DraftDocument draft =
        new DraftDocument(
            List.of(
                new Heading(1, "Three word title", 1),
                new Heading(2, "Two words", 2),
                new Text("One", 3)));
    assertThat(draft.words()).isEqualTo(3);
    assertThat(draft.title()).contains("Three word title");
    assertThat(draft.opening(5)).isEqualTo("One");
  }

  @Test
  void withoutAHeadingOfLevelOneTheBriefsTitleCounts() {
    DraftBrief brief =
        new DraftBrief("On eels", "eels", List.of(), Optional.empty(), Outline.NONE, List.of());
    DraftCheck check = DraftCheck.of(new DraftDocument(List.of(new Text("Fish.", 1))), brief);
    assertThat(verdict(check, Check.KEYWORD_IN_TITLE)).isEqualTo(Verdict.MET);
    assertThat(verdict(check, Check.KEYWORD_IN_OPENING)).isEqualTo(Verdict.NOT_MET);
  }

  @Test
  void aSectionIsPresentWhenMostOfItsWordsStandInAHeading() {
    Outline outline =
        new Outline(
            List.of(
                new Section("What eels eat at night", 0, ""),
                new Section("Traps", 0, ""),
                new Section("Bait", 0, "")));
    DraftBrief brief = new DraftBrief("T", "", List.of(), Optional.empty(), outline, List.of());
    DraftDocument draft =
        new DraftDocument(
            List.of(new Heading(2, "Eels eat by night", 1), new Heading(2, "A trap", 3)));
    CheckResult result = result(DraftCheck.of(draft, brief), Check.OUTLINE);
    assertThat(result.verdict()).isEqualTo(Verdict.PARTLY);
    assertThat(result.figure()).isEqualTo("2 of 3 sections");
    assertThat(result.places()).extracting(CheckResult.Place::what).containsExactly("Bait");
  }

  @Test
  void oneLevelDeeperOrAnyNumberUpIsInOrder() {
    DraftDocument draft =
        new DraftDocument(
            List.of(
                new Heading(2, "a", 1),
                new Heading(3, "b", 2),
                new Heading(4, "c", 3),
                new Heading(2, "d", 4)));
    DraftBrief brief =
        new DraftBrief("T", "", List.of(), Optional.empty(), Outline.NONE, List.of());
    assertThat(verdict(DraftCheck.of(draft, brief), Check.HEADING_ORDER)).isEqualTo(Verdict.MET);
  }

  @Test
  void rangesHoldStillWhileTheDraftGrowsTowardsItsLength() {
    Term term = new Term("eel", 5, 4, 8, 1);
    DraftBrief brief =
        new DraftBrief(
            "T",
            "",
            List.of(),
            Optional.of(new WordRange(800, 1000, 1200)),
            Outline.NONE,
            List.of(term));
    for (int words : new int[] {10, 400, 999}) {
      DraftDocument draft = new DraftDocument(List.of(new Text("word ".repeat(words), 1)));
      TermUse use = DraftCheck.of(draft, brief).terms().get(0);
      assertThat(use.fewest()).isEqualTo(4);
      assertThat(use.most()).isEqualTo(8);
      assertThat(use.scale()).isGreaterThan(use.most());
    }
    DraftDocument longer = new DraftDocument(List.of(new Text("word ".repeat(2000), 1)));
    assertThat(DraftCheck.of(longer, brief).terms().get(0).most()).isEqualTo(16);
  }

  @Test
  void usesAreCountedInHeadingsAndTextByStem() {
    Term term = new Term("eel trap", 5, 1, 3, 1);
    DraftDocument draft =
        new DraftDocument(
            List.of(new Heading(2, "Eel traps", 1), new Text("An eel trap. Eels trap.", 2)));
    DraftBrief brief =
        new DraftBrief("T", "", List.of(), Optional.empty(), Outline.NONE, List.of(term));
    assertThat(DraftCheck.of(draft, brief).terms().get(0).uses()).isEqualTo(3);
  }

  @Test
  void aLongDraftAgainstManyTermsIsCheckedWhileSomebodyTypes() {
    List<Term> terms =
        IntStream.range(0, 24)
            .mapToObj(i -> new Term("term" + (char) ('a' + i) + " two", 9, 1, 3, 1))
            .toList();
    DraftDocument draft =
        new DraftDocument(
            IntStream.range(0, 60)
                .mapToObj(i -> (DraftDocument.Block) new Text("word other ".repeat(25), i))
                .toList());
    DraftBrief brief =
        new DraftBrief("T", "word", List.of(), Optional.empty(), Outline.NONE, terms);
    DraftCheck check = DraftCheck.of(draft, brief);
    assertThat(check.words()).isEqualTo(3000);
    assertThat(check.terms()).hasSize(24);
    assertThat(check.termsInRange()).isZero();
  }

  private static CheckResult result(DraftCheck check, Check of) {
    return check.results().stream().filter(r -> r.check() == of).findFirst().orElseThrow();
  }

  private static Verdict verdict(DraftCheck check, Check of) {
    return result(check, of).verdict();
  }
}
