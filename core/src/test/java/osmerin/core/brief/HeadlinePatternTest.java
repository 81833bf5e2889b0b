package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HeadlinePatternTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Winter feeding in 5 steps | winter feeding | [keyword] in [number] steps",
        "7 mistakes in winter feeding | winter feeding | [number] mistakes in [keyword]",
        "Cone 6 firing, twice | cone 6 firing | [keyword], twice",
        "Feeding in 2026, winter feeding too | winter feeding | Feeding in 2026, [keyword] too",
        "Bienen füttern im Winter | BIENEN FÜTTERN | [keyword] im Winter"
      })
  void keywordAndNumberBecomePlaces(String title, String keyword, String pattern) {
    assertThat(HeadlinePattern.of(title, keyword)).contains(new HeadlinePattern(pattern));
  }

  @ParameterizedTest
  @CsvSource({"Feeding bees,winter feeding", "Overwinter feedings,winter feeding", "Feeding,''"})
  void aTitleWithoutTheKeywordHasNoPattern(String title, String keyword) {
    assertThat(HeadlinePattern.of(title, keyword)).isEmpty();
  }

  @Test
  void aPatternIsFilledAndBeginsWithACapital() {
    assertThat(new HeadlinePattern("[keyword] in [number] steps").with("éclair glaze", 4))
        .isEqualTo("Éclair glaze in 4 steps");
    assertThatThrownBy(() -> new HeadlinePattern("no place"))
        .hasMessageContaining(HeadlinePattern.KEYWORD);
  }

  @Test
  void whatAPatternMakesHasThatPatternAgain() {
    Random random = new Random(7);
    String[] words = {"bees", "in", "winter", "how", "long", "why", "so"};
    for (int run = 0; run < 2_000; run++) {
      StringBuilder text = new StringBuilder("[keyword]");
      for (int i = random.nextInt(5); i > 0; i--) {
        text.append(' ').append(words[random.nextInt(words.length)]);
      }
      HeadlinePattern pattern = new HeadlinePattern(text.toString());
      assertThat(HeadlinePattern.of(pattern.with("Quiet hive", 3), "quiet hive")).contains(pattern);
    }
  }
}
