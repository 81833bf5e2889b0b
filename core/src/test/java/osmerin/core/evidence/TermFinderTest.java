package osmerin.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TermFinderTest {
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void everyTermIsOnEnoughPagesAndTheOrderOfThePagesDoesNotMatter(long seed) {
    Random random = new Random(seed);
    List<RankingPage> pages = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      StringBuilder text = new StringBuilder();
      for (int word = 0; word < 150; word++) {
        text.append("bdgklmnprt".charAt(random.nextInt(10)))
            .append("aeiou".charAt(random.nextInt(5)))
            .append("lmnrt".charAt(random.nextInt(5)))
            .append(random.nextInt(11) == 0 ? ". " : " ");
      }
      pages.add(new RankingPage("p" + i, "Page " + i, List.of(), List.of(text.toString())));
    }
    Evidence evidence = Evidence.of(pages, List.of());
    for (Term term : evidence.terms()) {
      long users =
          pages.stream()
              .filter(
                  p ->
                      (" " + p.blocks().get(0).replace(".", " .") + " ")
                          .contains(" " + term.phrase()))
              .count();
      assertThat(term.pages()).isGreaterThanOrEqualTo((int) Math.ceil(0.4 * pages.size()));
      assertThat(users).as(term.phrase()).isGreaterThanOrEqualTo(1);
      assertThat(term.low()).isLessThanOrEqualTo(term.high());
      assertThat(term.weight()).isPositive();
    }
    List<RankingPage> shuffled = new ArrayList<>(pages);
    Collections.shuffle(shuffled, random);
    assertThat(Evidence.of(shuffled, List.of()).terms())
        .extracting(Term::phrase)
        .isEqualTo(evidence.terms().stream().map(Term::phrase).toList());
  }

  @Test
  void wordsOfCommonEnglishAndBareNumbersAreNoTerms() {
    RankingPage page =
        new RankingPage(
            "a", "T", List.of(), List.of("You really need 1,300 more time, and you need it now."));
    assertThat(Evidence.of(List.of(page, page), List.of()).terms()).isEmpty();
  }

  @Test
  void headingsCountAsUsesAndAddWeight() {
    RankingPage headed =
        new RankingPage("a", "T", List.of("Bisque"), List.of("Bisque and cobalt, cobalt."));
    List<Term> terms = Evidence.of(List.of(headed, headed), List.of()).terms();
    assertThat(terms).extracting(Term::phrase).startsWith("bisque");
  }

  @Test
  void theCommonestSpellingStandsForATerm() {
    RankingPage page =
        new RankingPage(
            "a", "T", List.of(), List.of("Witness cones, witness cones. A witness cone."));
    assertThat(Evidence.of(List.of(page, page), List.of()).terms())
        .extracting(Term::phrase)
        .contains("witness cones");
  }

  @Test
  void quartilesAreInterpolated() {
    assertThat(Quartiles.of(new double[] {4, 1, 3, 2})).isEqualTo(new Quartiles(1.75, 2.5, 3.25));
    assertThat(Quartiles.of(new double[] {7})).isEqualTo(new Quartiles(7, 7, 7));
  }

  @Test
  void aRangeThatRunsBackwardsIsRefused() {
    assertThatThrownBy(() -> new WordRange(300, 200, 400)).hasMessageContaining("300");
    assertThat(new WordRange(200, 250, 400).contains(400)).isTrue();
    assertThat(new WordRange(200, 250, 400).contains(401)).isFalse();
  }

  @Test
  void noTermReachesOverTheSignsBetweenSentences() {
    String text = "slow cooling... kiln shelf. Glaze drips (kiln wash) at rest";
    List<RankingPage> pages =
        List.of(
            new RankingPage("a", "A", List.of(), List.of(text)),
            new RankingPage("b", "B", List.of(), List.of(text)));
    assertThat(Evidence.of(pages, List.of()).terms())
        .extracting(Term::phrase)
        .contains("slow cooling", "kiln shelf", "glaze drips", "kiln wash")
        .noneMatch(term -> term.contains("cooling kiln") || term.contains("shelf glaze"))
        .noneMatch(term -> term.contains("drips kiln") || term.contains("wash at"));
  }
}
