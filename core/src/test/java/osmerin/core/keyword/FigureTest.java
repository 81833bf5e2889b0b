package osmerin.core.keyword;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FigureTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1300 | 1300 | 1300 | 1300",
        "1,300 | 1300 | 1300 | 1300",
        "1 300 | 1300 | 1300 | 1300",
        "1\u202f300 | 1300 | 1300 | 1300",
        "12,345,678 | 12345678 | 12345678 | 12345678",
        "1.3K | 1300 | 1300 | 1300",
        "1,3k | 1300 | 1300 | 1300",
        "2M | 2000000 | 2000000 | 2000000",
        "1K–10K | 3162.2777 | 1000 | 10000",
        "100 - 1,000 | 316.2278 | 100 | 1000",
        "10 to 100 | 31.6228 | 10 | 100",
        "10 bis 100 | 31.6228 | 10 | 100",
        "0-10 | 5 | 0 | 10",
        "< 10 | 5 | 0 | 10",
        "100K+ | 100000 | 100000 | 100000",
        "0.75 | 0.75 | 0.75 | 0.75",
        "€ 0,75 | 0.75 | 0.75 | 0.75",
        "$1.20 | 1.2 | 1.2 | 1.2",
        "45 % | 45 | 45 | 45",
        "9/100 | 9 | 9 | 9",
        "9.5 / 100 | 9.5 | 9.5 | 9.5",
        "0 | 0 | 0 | 0",
      })
  void cellsOfTools(String cell, double value, double low, double high) {
    Figure figure = Figure.read(cell, NumberPattern.UNDECIDED);
    assertThat(figure).isInstanceOf(Figure.Known.class);
    Figure.Known known = (Figure.Known) figure;
    assertThat(known.value()).isCloseTo(value, within(0.001));
    assertThat(known.low()).isCloseTo(low, within(0.001));
    assertThat(known.high()).isCloseTo(high, within(0.001));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "", " ", "-", "–", "n/a", "N/A", "null", "?", "k. A.", "n/v", "n.d.", "s/d", "n.v.t."
      })
  void noFigureIsUnknownAndNotZero(String cell) {
    assertThat(Figure.read(cell, NumberPattern.UNDECIDED)).isEqualTo(new Figure.Unknown());
  }

  /** A cell of a hundred addresses is told apart without being searched for a range. */
  @Test
  void aLongCellIsNoNumber() {
    String cell = "https://a.example/1-2 ".repeat(20_000);
    assertThat(Figure.read(cell, NumberPattern.UNDECIDED)).isInstanceOf(Figure.Unreadable.class);
    assertThat(Figure.read("0".repeat(99) + "7", NumberPattern.UNDECIDED))
        .isEqualTo(new Figure.Known(7, 7, 7));
  }

  @ParameterizedTest
  @ValueSource(strings = {"many", "-5", "12 apples", "10K–1K", "1.2.x", "https://a.example"})
  void whatIsNoNumberSaysSo(String cell) {
    Figure figure = Figure.read(cell, NumberPattern.DECIMAL_POINT);
    assertThat(figure).isInstanceOf(Figure.Unreadable.class);
    assertThat(((Figure.Unreadable) figure).reason()).startsWith("is ");
  }

  @Test
  void theColumnTellsWhatAPointMeans() {
    List<String> grouped = List.of("1.300", "900", "12.100");
    NumberPattern pattern = NumberPattern.ofWholeNumbers(grouped, NumberPattern.UNDECIDED);
    assertThat(Figure.read("1.300", pattern)).isEqualTo(new Figure.Known(1300, 1300, 1300));
  }

  @Test
  void decimalsInTheColumnWinOverGrouping() {
    List<String> decimals = List.of("1.300", "12.5", "7.25");
    NumberPattern pattern = NumberPattern.ofWholeNumbers(decimals, NumberPattern.UNDECIDED);
    assertThat(Figure.read("1.300", pattern)).isEqualTo(new Figure.Known(1.3, 1.3, 1.3));
  }

  @Test
  void otherColumnsDecideWhereTheColumnDoesNot() {
    NumberPattern elsewhere = NumberPattern.of(List.of("0,75", "1,20", "0,05"));
    assertThat(elsewhere).isEqualTo(NumberPattern.DECIMAL_COMMA);
    assertThat(NumberPattern.ofWholeNumbers(List.of("1300", "20"), elsewhere))
        .isEqualTo(NumberPattern.DECIMAL_COMMA);
  }
}
