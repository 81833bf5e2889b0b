package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.app.platform.web.In;

/** Dates and numbers as people read them. */
class WordsTest {
  private static final LocalDate DAY = LocalDate.of(2026, 12, 8);

  @Test
  void daysMonthsAndMoments() {
    assertThat(In.day(DAY)).isEqualTo("Tue 8 Dec");
    assertThat(In.dayAndYear(DAY)).isEqualTo("Tue 8 Dec 2026");
    assertThat(In.day(null)).isEmpty();
    assertThat(In.month(YearMonth.of(2026, 11), DAY)).isEqualTo("November");
    assertThat(In.month(YearMonth.of(2027, 1), DAY)).isEqualTo("January 2027");
    Instant moment = Instant.parse("2026-12-08T23:30:00Z");
    assertThat(In.moment(moment, ZoneId.of("Europe/Berlin"))).isEqualTo("Wed 9 Dec, 00:30");
    assertThat(In.moment(null, ZoneId.of("UTC"))).isEmpty();
    assertThat(In.dayAndYear(moment, ZoneId.of("Europe/Berlin"))).isEqualTo("Wed 9 Dec 2026");
  }

  @ParameterizedTest
  @CsvSource({"4.0, 4", "4.25, 4.3", "0.5, 0.5", "0, 0"})
  void decimalsHaveOnePlaceOrNone(double number, String words) {
    assertThat(In.decimal(number)).isEqualTo(words);
  }

  @ParameterizedTest
  @CsvSource({
    "412.4, 412, 100 %",
    "4.23, 4.2, 42 %",
    "10432, '10,432', 3.7 %",
    "0, 0, 0 %",
    "9.96, 10, 0.1 %",
  })
  void figuresThatWereWorkedOutHaveAsManyPlacesAsTheyDeserve(
      double number, String words, String share) {
    assertThat(In.rounded(number)).isEqualTo(words);
    double percent = Double.parseDouble(share.replace(" %", ""));
    assertThat(In.percent(percent / 100)).isEqualTo(share);
    assertThat(In.percent(0.0001)).isEqualTo("0.1 %");
  }

  @Test
  void unknownNumbersAreADash() {
    assertThat(In.number(null)).isEqualTo("–");
    assertThat(In.number(108_520L)).isEqualTo("108,520");
    assertThat(In.counted(1, "group")).isEqualTo("1 group");
  }
}
