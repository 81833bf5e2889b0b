package osmerin.formats.word;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import osmerin.formats.limits.Inflating;
import osmerin.formats.limits.Limits;

/**
 * Looks a Word document over as a stream before a library makes a tree of it, which takes a hundred
 * times the memory of its text.
 */
final class WordGuard {
  private WordGuard() {}

  /**
   * Looks at every part that is XML.
   *
   * @throws osmerin.formats.text.UnreadableFileException when it has more than any draft has
   * @throws IOException when it is no packed file
   */
  static void check(byte[] file) throws IOException {
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
      int elements = 0;
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (entry.getName().endsWith(".xml")) {
          byte[] part = new Inflating(zip, file.length).readNBytes(Limits.WORD_PART + 1);
          if (part.length > Limits.WORD_PART) {
            throw tooMuch();
          }
          elements += elements(part, Limits.WORD_ELEMENTS - elements);
        }
      }
    }
  }

  /** How many elements there are; broken ones are left for the library to say. */
  private static int elements(byte[] xml, int most) {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_NAMESPACE_AWARE, false);
    int elements = 0;
    int depth = 0;
    try {
      XMLStreamReader reader = factory.createXMLStreamReader(new ByteArrayInputStream(xml));
      while (reader.hasNext()) {
        int event = reader.next();
        elements += event == XMLStreamConstants.START_ELEMENT ? 1 : 0;
        depth += event == XMLStreamConstants.START_ELEMENT ? 1 : 0;
        depth -= event == XMLStreamConstants.END_ELEMENT ? 1 : 0;
        if (elements > most || depth > Limits.XML_DEPTH) {
          throw tooMuch();
        }
      }
    } catch (XMLStreamException e) {
      // Broken from here on.
    }
    return elements;
  }

  private static RuntimeException tooMuch() {
    return Limits.exceeded(
        "The document has more paragraphs, or tables deeper within each other, than a draft has."
            + " Save it as text (.txt) or Markdown (.md).");
  }
}
