package osmerin.core.keyword;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
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

  @Test
  void nothingButPunctuationIsEmpty() {
    assertThat(NormalForm.of(" – “…” ")).isEmpty();
  }

  /** The plain definition, which looks at a run of punctuation again from each of its signs. */
  @Test
  void outerPunctuationGoesAsThePlainPatternSays() {
    Pattern outer = Pattern.compile("^[\\p{P}\\p{Z}&&[^#@%&]]+|[\\p{P}\\p{Z}&&[^#%&]]+$");
    String signs = "ab1#@%&$+.,;:!?()[]'\"_-/\u00a0\u2026\u00bf ";
    Random random = new Random(7);
    for (int i = 0; i < 5_000; i++) {
      StringBuilder text = new StringBuilder();
      for (int n = random.nextInt(12); n > 0; n--) {
        text.append(signs.charAt(random.nextInt(signs.length())));
      }
      String spaced = text.toString().replaceAll("[\\s\\p{Z}]+", " ").replace("…", "...").strip();
      assertThat(NormalForm.of(text.toString()))
          .as(text.toString())
          .isEqualTo(outer.matcher(spaced).replaceAll("").strip());
    }
  }
}
