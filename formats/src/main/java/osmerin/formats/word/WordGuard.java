package osmerin.formats.word;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import osmerin.formats.limits.Inflating;
import osmerin.formats.limits.Limits;
import osmerin.formats.limits.XmlGuard;
import osmerin.formats.text.UnreadableFileException;

/**
 * Looks a Word document over as a stream before a library makes a tree of it, which takes a hundred
 * times the memory of its text.
 */
final class WordGuard {
  private static final String INSTEAD = " Save it as text (.txt) or Markdown (.md).";

  private WordGuard() {}

  /**
   * Looks at every part that is XML.
   *
   * @throws UnreadableFileException when it has more than any draft has
   * @throws IOException when it is no packed file
   */
  static void check(byte[] file) throws IOException {
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
      InputStream counted = new Inflating(zip, file.length);
      int left = Limits.WORD_ELEMENTS;
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (entry.getName().endsWith(".xml")) {
          left -= XmlGuard.check(part(counted), left);
        }
      }
    } catch (UnreadableFileException e) {
      throw Limits.exceeded(e.getMessage() + INSTEAD);
    }
  }

  private static byte[] part(InputStream zip) throws IOException {
    byte[] part = zip.readNBytes(Limits.WORD_PART + 1);
    if (part.length > Limits.WORD_PART) {
      throw Limits.exceeded("A part of the document has more than 32 MB.");
    }
    return part;
  }
}
