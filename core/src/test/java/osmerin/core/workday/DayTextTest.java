package osmerin.core.workday;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DayTextTest {
  /** A Friday. */
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Tue 8 Dec | 2026-12-08",
        "8 dec | 2026-12-08",
        " 8 DECEMBER  | 2026-12-08",
        "dec 8 | 2026-12-08",
        "8th dec. | 2026-12-08",
        "Tuesday, 8 dec | 2026-12-08",
        "wed 8 dec | 2026-12-08",
        "8 dec 2027 | 2027-12-08",
        "8 dec 27 | 2027-12-08",
        "dec 8, 2027 | 2027-12-08",
        "8/12 | 2026-12-08",
        "8.12. | 2026-12-08",
        "8.12.2027 | 2027-12-08",
        "2026-12-08 | 2026-12-08",
        "3 jan | 2027-01-03",
        "20 nov | 2026-11-20",
        "29 feb 2028 | 2028-02-29",
        "tue | 2026-12-01",
        "fri | 2026-11-27",
        "th | 2026-12-03",
        "today | 2026-11-27",
        "tomorrow | 2026-11-28",
        "+5 | 2026-12-02",
        "-2 | 2026-11-25",
      })
  void whatPeopleTypeIsTheDayTheyMean(String typed, LocalDate day) {
    assertThat(DayText.read(typed, TODAY)).contains(day);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        " ",
        "soon",
        "32 dec",
        "31 nov",
        "13/13",
        "8 d",
        "29 feb 2027",
        "t",
        "tue dec"
      })
  void whatIsNoDayIsNone(String typed) {
    assertThat(DayText.read(typed, TODAY)).isEmpty();
  }

  @Test
  void aDayInWordsIsReadAsItself() {
    Random random = new Random(4);
    DateTimeFormatter words = DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.ENGLISH);
    DateTimeFormatter shorter = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    for (int i = 0; i < 3_000; i++) {
      LocalDate today = LocalDate.of(2020, 1, 1).plusDays(random.nextInt(5_000));
      LocalDate day = today.plusDays(random.nextInt(361) - 180);
      assertThat(DayText.read(words.format(day), today)).contains(day);
      assertThat(DayText.read(day.toString(), today)).contains(day);
      assertThat(DayText.read(shorter.format(day), today)).contains(day);
    }
  }
}
