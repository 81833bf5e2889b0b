package osmerin.app.handout;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import osmerin.app.briefs.BriefPage;

/** Several briefs in one file. */
final class BriefZip {
  static final int MOST = 200;

  private BriefZip() {}

  static byte[] of(List<BriefPage> briefs) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
      for (BriefPage page : briefs) {
        String name = page.round().reference() + "-brief";
        add(zip, name + ".docx", BriefWord.of(page));
        add(zip, name + ".md", BriefMarkdown.of(page).getBytes(StandardCharsets.UTF_8));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static void add(ZipOutputStream zip, String name, byte[] content) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(content);
    zip.closeEntry();
  }
}
