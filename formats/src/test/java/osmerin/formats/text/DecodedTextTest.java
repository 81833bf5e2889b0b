package osmerin.formats.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.formats.text.UnreadableFileException.Fault;

class DecodedTextTest {
  private static final String TEXT =
      "keyword,volume\ncafé tiles,“90”\nglaçure à la cendre,1 200\nKröning pots,40 €\n";

  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252"})
  void readsTheUsualEncodingsWithoutAMark(String charset) {
    DecodedText decoded = DecodedText.of(TEXT.getBytes(Charset.forName(charset)));
    assertThat(decoded.text()).isEqualTo(TEXT);
    assertThat(decoded.charset().name()).isEqualTo(charset);
  }

  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE"})
  void aByteOrderMarkIsNoPartOfTheText(String charset) {
    byte[] marked = ("\uFEFF" + TEXT).getBytes(Charset.forName(charset));
    assertThat(DecodedText.of(marked).text()).isEqualTo(TEXT);
  }

  @Test
  void anEmptyFileIsRefused() {
    assertThatThrownBy(() -> DecodedText.of(new byte[0])).hasMessageContaining("empty");
    assertThatThrownBy(() -> DecodedText.of(" \n\n".getBytes(StandardCharsets.UTF_8)))
        .hasMessageContaining("empty");
  }

  @Test
  void aPictureRenamedIsRefused() {
    byte[] png = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 26, '\n', 0, 0, 0, 13};
    assertThatThrownBy(() -> DecodedText.of(png))
        .isInstanceOfSatisfying(
            UnreadableFileException.class, e -> assertThat(e.fault()).isEqualTo(Fault.NOT_TEXT))
        .hasMessageContaining("PNG");
  }

  @Test
  void bytesThatAreNoTextAreRefused() {
    ByteArrayOutputStream noise = new ByteArrayOutputStream();
    for (int i = 0; i < 3000; i++) {
      noise.write((i * 31) % 7);
    }
    assertThatThrownBy(() -> DecodedText.of(noise.toByteArray()))
        .hasMessageContaining("not a text file");
  }

  @Test
  void ofALongFileOnlyTheBeginningIsKeptButAllOfItDecidesTheEncoding() {
    String text = "clay tiles,90\n".repeat(100_000) + "café tiles,90\n";
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    DecodedText decoded = DecodedText.of(bytes);
    assertThat(decoded.charset()).isEqualTo(StandardCharsets.UTF_8);
    assertThat(decoded.text()).hasSize(1_000_000).isEqualTo(text.substring(0, 1_000_000));
    Charset western = Charset.forName("windows-1252");
    assertThat(DecodedText.of(text.getBytes(western)).charset()).isEqualTo(western);
  }

  @ParameterizedTest
  @ValueSource(ints = {8_190, 8_191, 8_192, 8_193, 16_384})
  void aLetterOfSeveralBytesMayStandAnywhere(int at) {
    String text = "a".repeat(at) + "陶😀é,1\n";
    DecodedText decoded = DecodedText.of(text.getBytes(StandardCharsets.UTF_8));
    assertThat(decoded.charset()).isEqualTo(StandardCharsets.UTF_8);
    assertThat(decoded.text()).isEqualTo(text);
  }
}
