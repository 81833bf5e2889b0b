package osmerin.core.draft;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.Outline;
import osmerin.core.brief.Outline.Section;
import osmerin.core.draft.CheckResult.Check;
import osmerin.core.draft.DraftDocument.Heading;
import osmerin.core.draft.DraftDocument.Text;
import osmerin.core.draft.TermUse.Standing;
import osmerin.core.evidence.Term;
import osmerin.core.evidence.WordRange;
import osmerin.core.text.Verdict;

class DraftCheckTest {
  private static final DraftBrief BRIEF =
      new DraftBrief(
          "How to wedge clay",
          "wedging clay",
          List.of("lump off centre", "air bubbles in clay"),
          Optional.of(new WordRange(20, 30, 40)),
          new Outline(
              List.of(new Section("Why wedge at all", 0, ""), new Section("Ram's head", 0, ""))),
          List.of(term("air bubble"), term("spiral"), term("bench"), term("clay")));

  @Test
  void aGoodDraftMeetsEveryCheck() {
    DraftCheck check = DraftCheck.of(good(), BRIEF);
    assertThat(check.results())
        .allSatisfy(r -> assertThat(r.verdict()).as("%s", r).isEqualTo(Verdict.MET));
    assertThat(check.met()).isEqualTo(check.applying());
  }

  @Test
  void anEmptyDraftMeetsNothingAndBreaksNothing() {
    DraftCheck check = DraftCheck.of(new DraftDocument(List.of()), BRIEF);
    assertThat(result(check, Check.LENGTH).verdict()).isEqualTo(Verdict.NOT_MET);
    assertThat(result(check, Check.OUTLINE).places()).hasSize(2);
    assertThat(result(check, Check.HEADING_ORDER).verdict()).isEqualTo(Verdict.DOES_NOT_APPLY);
    assertThat(check.terms()).allSatisfy(t -> assertThat(t.standing()).isEqualTo(Standing.ABSENT));
  }

  @Test
  void termsStandAbsentFewInRangeOrMany() {
    DraftDocument draft =
        new DraftDocument(
            List.of(
                new Text("Clay clay clay clay clay clay. Air bubbles, air bubbles. A bench.", 1)));
    DraftCheck check = DraftCheck.of(draft, BRIEF);
    assertThat(check.terms())
        .extracting(TermUse::standing)
        .containsExactly(Standing.IN_RANGE, Standing.ABSENT, Standing.FEW, Standing.MANY);
    assertThat(check.terms().get(0).uses()).isEqualTo(2);
  }

  /** Evidence drawn earlier may hold terms that are no phrases any more. */
  @Test
  void aTermOfEarlierEvidenceIsCountedAsItIsWritten() {
    DraftDocument draft =
        new DraftDocument(
            List.of(new Text("Half of the firing is cooling, half of the firing.", 1)));
    DraftBrief brief =
        new DraftBrief(
            "T",
            "",
            List.of(),
            Optional.empty(),
            new Outline(List.of()),
            List.of(term("half of the firing")));
    assertThat(DraftCheck.of(draft, brief).terms().get(0).uses()).isEqualTo(2);
  }

  @Test
  void headingsThatJumpAreShownWithTheirLine() {
    DraftDocument draft =
        new DraftDocument(
            List.of(
                new Heading(1, "Title", 1), new Heading(3, "Deep", 5), new Heading(1, "Again", 9)));
    CheckResult order = result(DraftCheck.of(draft, BRIEF), Check.HEADING_ORDER);
    assertThat(order.verdict()).isEqualTo(Verdict.NOT_MET);
    assertThat(order.places()).extracting(CheckResult.Place::line).containsExactly(5, 9);
  }

  @Test
  void theKeywordsWordsApartArePartOfIt() {
    DraftDocument draft =
        new DraftDocument(List.of(new Text("Clay must be soft before you begin wedging.", 1)));
    assertThat(result(DraftCheck.of(draft, BRIEF), Check.KEYWORD_IN_OPENING).verdict())
        .isEqualTo(Verdict.PARTLY);
  }

  @Test
  void theOpeningEndsAfterAHundredWords() {
    DraftDocument draft =
        new DraftDocument(
            List.of(new Text("word ".repeat(101), 1), new Text("wedging clay at last", 3)));
    assertThat(result(DraftCheck.of(draft, BRIEF), Check.KEYWORD_IN_OPENING).verdict())
        .isEqualTo(Verdict.NOT_MET);
  }

  @Test
  void withoutKeywordRangeOrOutlineTheChecksDoNotApply() {
    DraftBrief bare = new DraftBrief("T", "", List.of(), Optional.empty(), Outline.NONE, List.of());
    DraftCheck check = DraftCheck.of(good(), bare);
    assertThat(check.applying()).isEqualTo(1);
    assertThat(check.terms()).isEmpty();
  }

  @Test
  void lengthNearTheRangeIsPartlyMet() {
    DraftDocument draft = new DraftDocument(List.of(new Text("word ".repeat(17), 1)));
    CheckResult length = result(DraftCheck.of(draft, BRIEF), Check.LENGTH);
    assertThat(length.verdict()).isEqualTo(Verdict.PARTLY);
    assertThat(length.figure()).isEqualTo("17 of 20–40 words");
  }

  @Test
  void secondaryKeywordsThatAreNowhereAreNamed() {
    DraftDocument draft =
        new DraftDocument(
            List.of(
                new Text("A lump runs off the centre.", 1), new Text("Clay. Bubbles. Bench.", 3)));
    CheckResult secondary = result(DraftCheck.of(draft, BRIEF), Check.SECONDARY_KEYWORDS);
    assertThat(secondary.verdict()).isEqualTo(Verdict.PARTLY);
    assertThat(secondary.figure()).isEqualTo("1 of 2 used");
    assertThat(secondary.places())
        .extracting(CheckResult.Place::what)
        .containsExactly("air bubbles in clay");
  }

  @Test
  void theTitleIsNoHeadingInAnyCheck() {
    DraftDocument draft =
        new DraftDocument(
            List.of(
                new Heading(1, "Why wedge at all: wedging clay", 1), new Heading(2, "A start", 3)));
    DraftCheck check = DraftCheck.of(draft, BRIEF);
    assertThat(result(check, Check.KEYWORD_IN_HEADING).verdict()).isEqualTo(Verdict.NOT_MET);
    assertThat(result(check, Check.OUTLINE).figure()).isEqualTo("0 of 2 sections");
    assertThat(result(check, Check.HEADING_ORDER).figure()).isEqualTo("1 heading, in order");
  }

  private static DraftDocument good() {
    return new DraftDocument(
        List.of(
            new Heading(1, "Wedging clay without tears", 1),
            new Text("Wedging the clay drives out an air bubble or two and evens it out.", 3),
            new Heading(2, "Why wedge clay at all", 5),
            new Text("An uneven lump pulls off centre on the wheel.", 7),
            new Heading(2, "The ram's head", 9),
            new Text("Push, turn, push.", 11)));
  }

  private static Term term(String phrase) {
    return new Term(phrase, 4, 60, 120, 1);
  }

  private static CheckResult result(DraftCheck check, Check of) {
    return check.results().stream().filter(r -> r.check() == of).findFirst().orElseThrow();
  }
}
