package osmerin.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class WordNumbersTest {
  private final WordNumbers numbers =
      new WordNumbers(
          List.of(Set.of("trap", "eel"), Set.of("eel", "smoke"), Set.of(), Set.of("eel")));

  @Test
  void wordsAreNumberedByTheirSpellingAndCounted() {
    assertThat(numbers.size()).isEqualTo(3);
    assertThat(numbers.of(List.of("trap", "eel"))).containsExactly(0, 2);
    assertThat(numbers.of(List.of("smoke"))).containsExactly(1);
    assertThat(numbers.of(List.of())).isEmpty();
    assertThat(numbers.frequency(0)).isEqualTo(3);
    assertThat(numbers.frequency("smoke")).isEqualTo(1);
  }

  @Test
  void theOrderOfTheThingsDoesNotMatter() {
    WordNumbers turned =
        new WordNumbers(List.of(List.of("eel"), List.of("smoke", "eel"), List.of("eel", "trap")));
    assertThat(turned.of(List.of("trap", "smoke", "eel")))
        .isEqualTo(numbers.of(List.of("eel", "smoke", "trap")));
    assertThat(turned.frequency("eel")).isEqualTo(3);
  }
}
