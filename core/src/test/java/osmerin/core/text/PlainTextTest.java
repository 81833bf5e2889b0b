package osmerin.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PlainTextTest {
  @ParameterizedTest
  @ValueSource(strings = {"", "Una Berg", "Þóra Ýr-Ósk", "O'Hara", "李小龍", "Ñandú 2", "עדה", "नीला"})
  void namesOfAllScriptsArePlain(String text) {
    assertThat(PlainText.isPlain(text)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Una\u0000", "Una\n", "U\u200Bna", "U\u200Dna", "\u202Egreb anu", "Una\u2066", "\uFEFFUna",
        "U\u00ADna", "Una\u2028", "\uE000", "\u3164", "U\u034Fna", "\uD800", "Una\t"
      })
  void whatHidesOrTurnsIsNot(String text) {
    assertThat(PlainText.isPlain(text)).isFalse();
  }
}
