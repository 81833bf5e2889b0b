package osmerin.formats.limits;

import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/**
 * How much a file may hold, so that none takes more memory or time than honest ones do. Met by real
 * files: a keyword research of a million rows and thirty columns is far from all of them.
 */
public final class Limits {
  /** Bytes of an upload, as they arrive. */
  public static final long UPLOAD = 200_000_000;

  /** Bytes of everything in a packed file once it is unpacked. */
  public static final long INFLATED = 1_000_000_000;

  /** Bytes unpacked for each byte packed; spreadsheets of real data stay below thirty. */
  public static final int RATIO = 200;

  /** Small files may unpack to so much whatever the ratio. */
  public static final long INFLATED_ANYWAY = 10_000_000;

  /** Rows of a table. */
  public static final int ROWS = 2_000_000;

  /** Columns of a table that hold something. */
  public static final int COLUMNS = 500;

  /** Characters of a cell. */
  public static final int CELL = 100_000;

  /** Elements of XML within each other. */
  public static final int XML_DEPTH = 100;

  /** Blocks, quotes, lists and spans of Markdown within each other. */
  public static final int MARKDOWN_DEPTH = 100;

  /** Cells that the tables of a text in Markdown may come to, padding included. */
  public static final int MARKDOWN_CELLS = 50_000;

  /** Signs of emphasis, links and tags in one paragraph, heading or cell of Markdown. */
  public static final int MARKDOWN_SIGNS = 2_000;

  /** Signs times characters, added up over the blocks of a text in Markdown. */
  public static final long MARKDOWN_WORK = 100_000_000;

  /** Tags of HTML in a text in Markdown. */
  public static final int MARKDOWN_TAGS = 2_000;

  /** Characters of a line with a tag of HTML. */
  public static final int MARKDOWN_TAG_LINE = 10_000;

  /**
   * Characters of the HTML that a text in Markdown becomes; 400,000 of text make half a million.
   */
  public static final int MARKDOWN_HTML = 4_000_000;

  /** Bytes of one part of a Word document, unpacked. */
  public static final int WORD_PART = 32 << 20;

  /** Elements of XML in a Word document; a long article has some ten thousand. */
  public static final int WORD_ELEMENTS = 250_000;

  private Limits() {}

  /** A file beyond a limit, with a sentence that says which. */
  public static UnreadableFileException exceeded(String sentence) {
    return new UnreadableFileException(Fault.TOO_LARGE, sentence);
  }
}
