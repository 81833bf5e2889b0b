package osmerin.formats.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import osmerin.core.evidence.ReadPage;
import osmerin.formats.text.UnreadableFileException;

class SavedPagesTest {
  private static final String PAGE =
      "<title>Hives</title><main><p>A hive stands in the sun of the morning.</p></main>";

  private static byte[] zip(Map<String, String> files) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (Map.Entry<String, String> file : new TreeMap<>(files).entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
      }
    }
    return bytes.toByteArray();
  }

  @Test
  void anArchiveIsReadPageByPageAndSaysWhatItPassesOver() throws IOException {
    SavedPages saved =
        SavedPages.ofUpload(
            "pages.zip",
            zip(
                Map.of(
                    "a/one.html", PAGE,
                    "../../two.HTM", PAGE,
                    "empty.html", "<main><img src=x></main>",
                    "notes.txt", "no page",
                    "__MACOSX/one.html", PAGE)));
    assertThat(saved.pages()).extracting(ReadPage::name).containsExactly("two.HTM", "one.html");
    assertThat(saved.passedOver()).containsExactly("empty.html: has no text.");
  }

  /** Each page of a site saved as a folder is called index.html. */
  @Test
  void pagesOfOneNameInSeveralFoldersAreToldApart() throws IOException {
    SavedPages saved =
        SavedPages.ofUpload(
            "site.zip",
            zip(Map.of("a/index.html", PAGE, "b/index.html", PAGE, "c/index.html", PAGE)));
    assertThat(saved.pages())
        .extracting(ReadPage::name)
        .containsExactly("index.html", "index.html (2)", "index.html (3)");
  }

  @Test
  void onePageIsReadByItself() {
    assertThat(SavedPages.ofUpload("one.html", PAGE.getBytes(StandardCharsets.UTF_8)).pages())
        .extracting(ReadPage::title)
        .containsExactly("Hives");
  }

  @Test
  void whatIsNoPageIsRefusedByName() throws IOException {
    byte[] none = zip(Map.of("notes.txt", "no page"));
    assertThatThrownBy(() -> SavedPages.ofUpload("pages.zip", none))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining("pages.zip");
    assertThatThrownBy(() -> SavedPages.ofUpload("a.pdf", "%PDF-1.7".getBytes()))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining(".html");
    assertThatThrownBy(() -> SavedPages.ofUpload("broken.zip", "PK broken".getBytes()))
        .isInstanceOf(UnreadableFileException.class);
    assertThatThrownBy(() -> SavedPages.ofUpload("a.html", new byte[0]))
        .isInstanceOf(UnreadableFileException.class);
  }

  @Test
  void anArchiveThatUnpacksToFarMoreThanItIsIsRefused() throws IOException {
    byte[] bomb = zip(Map.of("bomb.html", "<p>" + "a".repeat(30_000_000)));
    assertThatThrownBy(() -> SavedPages.ofUpload("bomb.zip", bomb))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining("200 times");
  }

  @Test
  void aPageOfFarTooMuchIsPassedOver() {
    byte[] large = ("<p>" + "words and ".repeat(3_000_000)).getBytes(StandardCharsets.UTF_8);
    assertThatThrownBy(() -> SavedPages.ofUpload("large.html", large))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining("20 MB");
    byte[] book = ("<p>" + "words and ".repeat(100_000)).getBytes(StandardCharsets.UTF_8);
    assertThatThrownBy(() -> SavedPages.ofUpload("book.html", book))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining("50,000 words");
  }

  @Test
  void scriptsFramesAndTurnedTextLeaveNothingBehind() {
    String page =
        "<title>A\u202eb</title><script>alert(1)</script><iframe src=x></iframe><style>p{}</style>"
            + "<main><p onclick=x()>Plain \u2066text\u2069 &lt;b&gt; &#0; here"
            + " <a href='javascript:x()'>now</a>.</p></main>";
    ReadPage read =
        SavedPages.ofUpload("a.html", page.getBytes(StandardCharsets.UTF_8)).pages().get(0);
    assertThat(read.title()).isEqualTo("Ab");
    List<String> texts = read.kept().stream().map(block -> block.text()).toList();
    assertThat(texts).hasSize(1);
    assertThat(texts.get(0))
        .startsWith("Plain text <b>")
        .endsWith("here now.")
        .doesNotContain("\u2066");
  }
}
