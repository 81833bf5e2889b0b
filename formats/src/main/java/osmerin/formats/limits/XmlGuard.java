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
    check(xml, Integer.MAX_VALUE);
  }

  /**
   * Looks a document over.
   *
   * @param most elements that it may have
   * @return how many it has, up to where it is broken
   * @throws osmerin.formats.text.UnreadableFileException when it has what is refused
   */
  public static int check(byte[] xml, int most) {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_NAMESPACE_AWARE, false);
    Walk walk = new Walk();
    try {
      walk.over(factory.createXMLStreamReader(new ByteArrayInputStream(xml)), most);
    } catch (XMLStreamException e) {
      // Broken from here on; the reader says where.
    }
    return walk.elements;
  }

  private static final class Walk {
    private int elements;
    private int depth;

    void over(XMLStreamReader reader, int most) throws XMLStreamException {
      while (reader.hasNext()) {
        switch (reader.next()) {
          case XMLStreamConstants.DTD ->
              throw Limits.exceeded(
                  "The file has a document type (<!DOCTYPE …>), which is not read.");
          case XMLStreamConstants.START_ELEMENT -> {
            elements++;
            depth++;
          }
          case XMLStreamConstants.END_ELEMENT -> depth--;
          default -> {
            // Text and the like.
          }
        }
        refuseBeyond(most);
      }
    }

    private void refuseBeyond(int most) {
      if (elements > most) {
        throw Limits.exceeded("The file has more elements than an honest one.");
      }
      if (depth > Limits.XML_DEPTH) {
        throw Limits.exceeded(
            "Elements are more than " + Limits.XML_DEPTH + " deep within each other.");
      }
    }
  }
}
