package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.brief.Outline.Section;
import osmerin.core.evidence.Term;
import osmerin.core.text.Verdict;

class TitleAmongTest {
  private static final List<String> RANKING =
      List.of("How to feed bees in winter", "Swarming: signs and remedies");

  private static TitleAmong check(String title) {
    return TitleAmong.of(title, RANKING, List.of(), Outline.NONE);
  }

  @ParameterizedTest
  @CsvSource({
    "In winter: how to feed the bees, NOT_MET",
    "Feeding bees in the winter, PARTLY",
    "What a cold May does to a colony, MET",
    "'', DOES_NOT_APPLY",
    "'  ', DOES_NOT_APPLY",
  })
  void aTitleDiffersFromWhatRanks(String title, Verdict verdict) {
    assertThat(check(title).differs()).isEqualTo(verdict);
    assertThat(check(title).alike() != null)
        .isEqualTo(verdict == Verdict.NOT_MET || verdict == Verdict.PARTLY);
  }

  @Test
  void whatRanksInAnotherOrderIsTheSame() {
    List<String> turned = List.of(RANKING.get(1), RANKING.get(0));
    for (String title : List.of("Feed bees in winter", "Signs of swarming")) {
      assertThat(TitleAmong.of(title, turned, List.of(), Outline.NONE)).isEqualTo(check(title));
    }
    assertThat(TitleAmong.of("Bees", List.of(), List.of(), Outline.NONE).differs())
        .isEqualTo(Verdict.DOES_NOT_APPLY);
  }

  @ParameterizedTest
  @CsvSource({
    "7 mistakes with bees, 7",
    "The 12 best hives, 12",
    "Bees: 5 ways through winter, 5",
    "Top 10 hives, 10",
    "Bees in 2026, 0",
    "5 % more honey, 0",
    "3 kg of wax, 0",
    "3.1 Feeding, 0",
    "'', 0",
  })
  void aTitlePromisesANumber(String title, int promised) {
    assertThat(check(title).promised()).isEqualTo(promised);
    assertThat(check(title).promise())
        .isEqualTo(promised == 0 ? Verdict.DOES_NOT_APPLY : Verdict.NOT_MET);
  }

  @Test
  void theOutlineKeepsThePromiseBySectionsAtTheTop() {
    for (int top = 0; top < 6; top++) {
      List<Section> sections =
          IntStream.range(0, 2 * top).mapToObj(i -> new Section("Way " + i, i % 2, "")).toList();
      assertThat(
              TitleAmong.of("3 ways to feed", List.of(), List.of(), new Outline(sections))
                  .promise())
          .isEqualTo(top >= 3 ? Verdict.MET : Verdict.NOT_MET);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "FEEDING BEES, true",
    "BEES, true",
    "Feed BEES NOW and often, false",
    "Feed BEES TODAY, true",
    "What the HACCP rules ask, false",
    "Feeding bees, false",
  })
  void shoutingIsSaid(String title, boolean shouts) {
    assertThat(check(title).capitals()).isEqualTo(shouts);
  }

  @Test
  void termsInItAreNamed() {
    List<Term> terms =
        List.of(new Term("winter feeding", 4, 1, 2, 3), new Term("varroa", 3, 1, 2, 2));
    assertThat(TitleAmong.of("Winter feeding made plain", List.of(), terms, Outline.NONE).terms())
        .containsExactly("winter feeding");
    assertThat(check("x").terms()).isEqualTo(Collections.emptyList());
  }
}
