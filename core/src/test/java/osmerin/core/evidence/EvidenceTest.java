package osmerin.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class EvidenceTest {
  @Test
  void lengthIsTheQuartilesOfThePages() {
    Evidence evidence =
        Evidence.of(List.of(words(100), words(200), words(300), words(400), words(900)), List.of());
    assertThat(evidence.length()).contains(new WordRange(200, 300, 400));
  }

  @Test
  void termsAreWhatAtLeastTwoFifthsOfThePagesUse() {
    List<RankingPage> pages =
        List.of(
            page("The quartz inversion cracks pots. Quartz inversion needs a slow kiln."),
            page("Slow down at quartz inversion, says the kiln log."),
            page("A kiln with a log is worth more. The quartz inversion passes."),
            page("Feldspar is rare here."),
            page("Nobody speaks of it."));
    List<Term> terms = Evidence.of(pages, List.of()).terms();
    assertThat(terms).extracting(Term::phrase).contains("quartz inversion", "kiln");
    assertThat(terms).extracting(Term::phrase).doesNotContain("quartz", "inversion", "feldspar");
    assertThat(terms.get(0).phrase()).isEqualTo("quartz inversion");
    assertThat(terms.get(0).pages()).isEqualTo(3);
  }

  @Test
  void aTermOfThisGroupOutweighsOneOfTheWholeSite() {
    List<RankingPage> pages =
        List.of(page("Cobalt clay cobalt clay."), page("Clay and cobalt. Clay, cobalt."));
    List<RankingPage> elsewhere = new ArrayList<>();
    for (int i = 0; i < 50; i++) {
      elsewhere.add(page("Clay is clay is clay, whichever clay it may be."));
    }
    assertThat(Evidence.of(pages, elsewhere).terms().get(0).phrase()).startsWith("cobalt");
    Term clay =
        Evidence.of(pages, elsewhere).terms().stream()
            .filter(t -> t.phrase().equals("clay"))
            .findFirst()
            .orElseThrow();
    assertThat(clay.weight()).isLessThan(Evidence.of(pages, elsewhere).terms().get(0).weight());
  }

  @Test
  void sentencesPartPhrases() {
    List<RankingPage> pages =
        List.of(page("Fire the bisque. Cone comes next."), page("A bisque; cone six."));
    assertThat(Evidence.of(pages, List.of()).terms())
        .extracting(Term::phrase)
        .doesNotContain("bisque cone");
  }

  @Test
  void rangesScaleWithTheLengthToBeWritten() {
    Term term = new Term("cone", 5, 2.0, 6.0, 1);
    assertThat(term.fewest(1500)).isEqualTo(3);
    assertThat(term.most(1500)).isEqualTo(9);
    assertThat(term.fewest(100)).isEqualTo(1);
  }

  @Test
  void pagesWithoutTextGiveNoLength() {
    assertThat(Evidence.of(List.of(page("")), List.of()).length()).isEmpty();
    assertThat(Evidence.of(List.of(), List.of()).terms()).isEmpty();
  }

  private static RankingPage page(String text) {
    return new RankingPage("a.example", "Title", List.of(), List.of(text));
  }

  private static RankingPage words(int count) {
    return page("word ".repeat(count));
  }
}
