package osmerin.formats.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DelimiterTest {
  @ParameterizedTest
  @EnumSource(Delimiter.class)
  void isGuessedFromTheRows(Delimiter delimiter) {
    String text = "keyword,volume,pages\nslip and score,90,a b\n\"clay, wet\",20,\n";
    String written =
        text.replace(',', delimiter.sign()).replace("clay" + delimiter.sign(), "clay,");
    assertThat(Delimiter.guess(written)).isEqualTo(delimiter);
  }

  @Test
  void commasInsideFieldsDoNotMislead() {
    String text = "keyword;volume\nclay, dry, red;1\nclay, wet;2\n\"a;b\";3\n";
    assertThat(Delimiter.guess(text)).isEqualTo(Delimiter.SEMICOLON);
  }

  @Test
  void oneColumnIsReadWithCommas() {
    assertThat(Delimiter.guess("kiln\nclay\nglaze\n")).isEqualTo(Delimiter.COMMA);
  }

  @Test
  void quotedFieldsMayHoldLineBreaksAndQuotes() {
    String text = "a,b\n\"x\ny\",\"say \"\"hi\"\"\"\nlast,1\n";
    List<Row> rows = Delimiter.COMMA.read(new StringReader(text), Stream::toList);
    assertThat(rows.get(1).fields()).containsExactly("x\ny", "say \"hi\"");
    assertThat(rows.get(2).line()).isEqualTo(4);
    assertThat(rows.get(0).field(7)).isEmpty();
  }
}
