package osmerin.core.worth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.worth.StrengthFound.Stands;

class StrengthFoundTest {
  @ParameterizedTest
  @ValueSource(ints = {12, 25, 40, 70})
  void aSiteGetsItsTrueStrengthBack(int strength) {
    Random random = new Random(strength);
    Chances truth = Chances.shipped(strength);
    List<Stands> keywords = new ArrayList<>();
    for (int i = 0; i < 2_000; i++) {
      double difficulty = random.nextInt(90);
      keywords.add(new Stands(difficulty, random.nextDouble() < truth.at(difficulty) ? 3 : 11));
    }
    StrengthFound found = StrengthFound.of(keywords).orElseThrow();
    assertThat(found.strength()).isCloseTo(strength, within(2));
    assertThat(found.sum()).isCloseTo(found.onPageOne(), within(15.0));
  }

  @Test
  void whatSaysNothingOfTheBorderIsNoStrength() {
    assertThat(StrengthFound.of(List.of())).isEmpty();
    assertThat(StrengthFound.of(stands(20, 0))).isEmpty();
    assertThat(StrengthFound.of(stands(20, 20))).isEmpty();
    assertThat(StrengthFound.of(stands(20, 2))).isEmpty();
    assertThat(StrengthFound.of(stands(20, 18))).isEmpty();
    assertThat(StrengthFound.of(stands(9, 4))).isEmpty();
    assertThat(StrengthFound.of(stands(10, 4))).isPresent();
  }

  /**
   * Once a strength of 0 was proposed, at which the chances added up to more than twice as many.
   */
  @Test
  void whatNoStrengthExplainsIsNone() {
    List<Stands> easy = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      easy.add(new Stands(1, i < 3 ? 5 : 30));
    }
    assertThat(StrengthFound.of(easy)).isEmpty();
  }

  @Test
  void theTenthPlaceIsPageOneAndTheEleventhIsNot() {
    List<Stands> keywords = new ArrayList<>(stands(20, 4));
    keywords.set(6, new Stands(30, 10));
    keywords.set(7, new Stands(35, 11));
    keywords.set(8, new Stands(40, null));
    assertThat(StrengthFound.of(keywords).orElseThrow().onPageOne()).isEqualTo(5);
  }

  @Test
  void hoursFollowTheWordsToBeWritten() {
    Effort effort = new Effort(8, 4, 250);
    assertThat(effort.hours(null)).isEqualTo(8);
    assertThat(effort.hours(1_000)).isEqualTo(8);
    assertThat(effort.hours(2_000)).isEqualTo(12);
    assertThat(effort.hours(500)).isEqualTo(6);
    assertThat(Effort.of(5).hours(9_000)).isEqualTo(5);
    assertThatThrownBy(() -> new Effort(2, 3, 250)).hasMessageContaining("3.0 of them writing");
  }

  private static List<Stands> stands(int count, int onPageOne) {
    List<Stands> keywords = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      keywords.add(new Stands(5.0 * i, i < onPageOne ? 4 : 20));
    }
    return keywords;
  }
}
