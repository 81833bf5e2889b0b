package osmerin.core.keyword;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NormalFormTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "  Kiln   Shelf | kiln shelf",
        "“raku  firing” | raku firing",
        "potter’s wheel | potter's wheel",
        "low–fire glaze | low-fire glaze",
        "ﬁring cone ⑥ | firing cone 6",
        "what is grog? | what is grog",
        "c++ | c++",
        "cone 6. | cone 6",
        "KÜTAHYA | kütahya",
        "a\u00a0b | a b",
      })
  void spellingsOfOneKeywordMeet(String spelling, String normal) {
    assertThat(NormalForm.of(spelling)).isEqualTo(normal);
  }

  @ParameterizedTest
  @CsvSource({"İstanbul tiles", "  «Glaze»  ", "ﬃ", "Ǆ pots", "a . b ."})
  void isAFixedPoint(String spelling) {
    assertThat(NormalForm.of(NormalForm.of(spelling))).isEqualTo(NormalForm.of(spelling));
  }

  @org.junit.jupiter.api.Test
  void nothingButPunctuationIsEmpty() {
    assertThat(NormalForm.of(" – “…” ")).isEmpty();
  }
}
