package osmerin.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class WordRangeTest {
  @Test
  void what_people_type_is_read() {
    assertThat(WordRange.read("1,200", " 1600 ")).contains(new WordRange(1200, 1400, 1600));
    assertThat(WordRange.read("900", "900")).contains(new WordRange(900, 900, 900));
    assertThat(WordRange.read(null, " ")).isEmpty();
  }

  @Test
  void what_is_no_range_is_said() {
    String[][] typed = {
      {"1200", ""}, {null, "5"}, {"9", "8"}, {"a", "8"}, {"-1", "8"}, {"1", "1e9"}
    };
    for (String[] range : typed) {
      assertThatThrownBy(() -> WordRange.read(range[0], range[1]))
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageStartingWith("Type ");
    }
  }
}
