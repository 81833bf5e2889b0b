package osmerin.formats.word;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import osmerin.core.support.Effort;
import osmerin.formats.text.UnreadableFileException;

class WordDocumentTest {
  private static byte[] bees() {
    WordDocument file = new WordDocument();
    file.small("BE-0001 · guide");
    file.heading("Keeping <bees> & more", 1);
    file.table(List.of(List.of("Length", "400–600 words"), List.of("Due", "Fri 4 Dec")));
    file.heading("Outline", 2);
    file.item("The hive", 0);
    file.item("Its floor", 1);
    file.text("First line\nSee https://bees.example/a?b=1&c=2, then\u0000 go on.");
    return file.bytes();
  }

  @Test
  void whatIsWrittenIsReadAgain() throws IOException {
    assertThat(WordText.read(bees()))
        .isEqualTo(
            String.join(
                "\n\n",
                "BE-0001 · guide",
                "# Keeping <bees> & more",
                "Length · 400–600 words",
                "Due · Fri 4 Dec",
                "## Outline",
                "- The hive",
                "- Its floor",
                "First line",
                "See https://bees.example/a?b=1&c=2, then go on."));
  }

  @Test
  void addressesAreLinks() throws IOException {
    try (XWPFDocument document = new XWPFDocument(new ByteArrayInputStream(bees()))) {
      assertThat(document.getHyperlinks())
          .singleElement()
          .satisfies(link -> assertThat(link.getURL()).isEqualTo("https://bees.example/a?b=1&c=2"));
    }
  }

  @Test
  void whateverTextItGetsItCanBeReadAgain() throws IOException {
    Random random = new Random(12);
    for (int run = 0; run < 60; run++) {
      StringBuilder text = new StringBuilder();
      for (int i = 0; i < 40; i++) {
        text.append((char) random.nextInt(0x10000));
      }
      WordDocument file = new WordDocument();
      file.heading(text.toString(), 1 + random.nextInt(3));
      file.item(text.toString(), random.nextInt(3));
      file.text(text + "\nhttp://x.example/" + text);
      assertThat(WordText.read(file.bytes())).isNotNull();
    }
  }

  @Test
  void whatIsNoWordDocumentIsSaidToBeNone() {
    for (String content : List.of("", "PK", "hello", "<html></html>")) {
      assertThatThrownBy(() -> WordText.read(content.getBytes(StandardCharsets.UTF_8)))
          .isInstanceOf(IOException.class);
    }
  }

  @Test
  void whatUnpacksToFarTooMuchIsRefusedAtOnce() throws IOException {
    byte[] spaces = new byte[200 << 20];
    Arrays.fill(spaces, (byte) ' ');
    byte[] file = withText(spaces);
    assertThat(file.length).isLessThan(1 << 20);
    assertThatThrownBy(() -> WordText.read(file)).isInstanceOf(UnreadableFileException.class);
  }

  @Test
  void aMillionParagraphsAndTablesWithinTablesAreRefusedBeforeTheyBecomeATree() throws IOException {
    String begin = "<w:document xmlns:w=\"w\"><w:body>";
    String end = "</w:body></w:document>";
    byte[] many = withText((begin + "<w:p/>".repeat(1_200_000) + end).getBytes());
    String open = "<w:tbl><w:tr><w:tc>".repeat(2_000);
    String close = "</w:tc></w:tr></w:tbl>".repeat(2_000);
    byte[] deep = withText((begin + open + close + end).getBytes());
    for (byte[] file : List.of(many, deep)) {
      Effort.within(
          Duration.ofSeconds(2),
          "a hostile document",
          () ->
              assertThatThrownBy(() -> WordText.read(file))
                  .isInstanceOf(UnreadableFileException.class)
                  .hasMessageContaining("Save it as text"));
    }
  }

  /** The document with another part in the place of its text. */
  private static byte[] withText(byte[] xml) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipInputStream from = new ZipInputStream(new ByteArrayInputStream(bees()));
        ZipOutputStream to = new ZipOutputStream(bytes)) {
      for (ZipEntry entry = from.getNextEntry(); entry != null; entry = from.getNextEntry()) {
        to.putNextEntry(new ZipEntry(entry.getName()));
        if (entry.getName().equals("word/document.xml")) {
          to.write(xml);
        } else {
          from.transferTo(to);
        }
        to.closeEntry();
      }
    }
    return bytes.toByteArray();
  }

  /** Where an office program is at hand, it opens the file and finds the text. */
  @Test
  void anOfficeProgramOpensIt(@TempDir Path folder) throws Exception {
    Path office = Path.of("/usr/bin/soffice");
    Assumptions.assumeTrue(Files.isExecutable(office));
    Path file = Files.write(folder.resolve("bees.docx"), bees());
    Process process =
        new ProcessBuilder(
                office.toString(),
                "-env:UserInstallation=" + folder.resolve("profile").toUri(),
                "--headless",
                "--convert-to",
                "txt:Text",
                "--outdir",
                folder.toString(),
                file.toString())
            .redirectErrorStream(true)
            .start();
    assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
    assertThat(Files.readString(folder.resolve("bees.txt")))
        .contains("Keeping <bees> & more", "Its floor");
  }
}
