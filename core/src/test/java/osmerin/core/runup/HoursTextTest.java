package osmerin.core.runup;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class HoursTextTest {
  @ParameterizedTest
  @CsvSource({
    "1, 1",
    "1.5, 1.5",
    "'1,5', 1.5",
    "' 2 h ', 2",
    "2 Hours, 2",
    "90 min, 1.5",
    "50 minutes, 0.83",
    "0, 0",
    "1000, 1000",
    "6000 min, 100"
  })
  void hoursAreRead(String typed, double hours) {
    assertThat(HoursText.read(typed)).hasValue(hours);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "long", "-1", "1001", "1.234", "1 day", "1e3", "1.5.2", "NaN", "∞"})
  void anythingElseIsNone(String typed) {
    assertThat(HoursText.read(typed)).isEmpty();
  }

  @Test
  void whatIsWrittenIsReadAgain() {
    for (int hundredths = 0; hundredths <= 100_000; hundredths += 7) {
      double hours = hundredths / 100.0;
      assertThat(HoursText.read(HoursText.of(hours))).hasValue(hours);
    }
    assertThat(HoursText.of(0.25)).isEqualTo("0.25");
    assertThat(HoursText.of(10)).isEqualTo("10");
    assertThat(HoursText.of(0)).isEqualTo("0");
  }
}
