package osmerin.formats.limits;

import java.io.ByteArrayInputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Looks over XML before a reader builds anything of it: no document type, which could name outside
 * files or multiply itself, and no elements deep within each other. What is merely broken is left
 * to the reader to say.
 */
public final class XmlGuard {
  private XmlGuard() {}

  /**
   * Looks a document over.
   *
   * @throws osmerin.formats.text.UnreadableFileException when it has what is refused
   */
  public static void check(byte[] xml) {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_NAMESPACE_AWARE, false);
    try {
      walk(factory.createXMLStreamReader(new ByteArrayInputStream(xml)));
    } catch (XMLStreamException e) {
      // Broken from here on; the reader says where.
    }
  }

  private static void walk(XMLStreamReader reader) throws XMLStreamException {
    int depth = 0;
    while (reader.hasNext()) {
      int event = reader.next();
      if (event == XMLStreamConstants.DTD) {
        throw Limits.exceeded("The file has a document type (<!DOCTYPE …>), which is not read.");
      }
      depth += event == XMLStreamConstants.START_ELEMENT ? 1 : 0;
      depth -= event == XMLStreamConstants.END_ELEMENT ? 1 : 0;
      if (depth > Limits.XML_DEPTH) {
        throw Limits.exceeded(
            "Elements are more than "
                + Limits.XML_DEPTH
                + " deep within each other; no feed or sitemap is.");
      }
    }
  }
}
