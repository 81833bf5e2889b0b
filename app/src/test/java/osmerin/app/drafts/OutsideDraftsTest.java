package osmerin.app.drafts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockMultipartFile;
import osmerin.app.platform.web.RefusedException;
import osmerin.formats.word.WordDocument;

class OutsideDraftsTest {
  @Test
  void filesOfDraftsAreReadByWhatTheyAre() {
    WordDocument word = new WordDocument();
    word.heading("Eels", 1);
    word.text("At night.");
    assertThat(OutsideDrafts.text("Draft.DOCX", word.bytes())).isEqualTo("# Eels\n\nAt night.");
    assertThat(OutsideDrafts.text("a.md", "# Ünder".getBytes(StandardCharsets.UTF_8)))
        .isEqualTo("# Ünder");
    assertThatThrownBy(() -> OutsideDrafts.text("a.docx", new byte[] {1, 2}))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> OutsideDrafts.text("a.pdf", new byte[] {1}))
        .hasMessageContaining(".docx");
  }

  @Test
  void aPictureOrZeroBytesUnderTheNameOfATextAreRefusedWithAReason() {
    byte[] picture = {(byte) 0x89, 'P', 'N', 'G', 1, 2};
    byte[] zeros = {'E', 'e', 'l', 0, 's', 0, 0, 'x', 'y'};
    assertThatThrownBy(() -> OutsideDrafts.text("a.txt", picture))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("PNG picture");
    assertThatThrownBy(() -> OutsideDrafts.text("a.txt", zeros))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> OutsideDrafts.text("a.txt", new byte[0]))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void whatWasSentIsTypedOrAFileAndNotBoth() throws IOException {
    MockMultipartFile file = new MockMultipartFile("file", "a.txt", null, "Eels".getBytes());
    MockMultipartFile none = new MockMultipartFile("file", "", null, new byte[0]);
    assertThat(new OutsideDrafts.Sent("", file, "check").draft()).isEqualTo("Eels");
    assertThat(new OutsideDrafts.Sent("Typed", none, "check").draft()).isEqualTo("Typed");
    assertThat(new OutsideDrafts.Sent("", null, "hand-in").draft()).isEmpty();
    assertThatThrownBy(() -> new OutsideDrafts.Sent("Typed", file, "check").draft())
        .hasMessageContaining("not both");
    byte[] large = new byte[OutsideDrafts.LARGEST_FILE + 1];
    MockMultipartFile tooLarge = new MockMultipartFile("file", "a.txt", null, large);
    assertThatThrownBy(() -> new OutsideDrafts.Sent("", tooLarge, "check").draft())
        .hasMessageContaining("20 MB");
  }
}
