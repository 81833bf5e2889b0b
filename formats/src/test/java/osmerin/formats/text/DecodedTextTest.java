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
    assertThatThrownBy(() -> DecodedText.of(noise.toByteArray())).hasMessageContaining("no text");
  }
}
