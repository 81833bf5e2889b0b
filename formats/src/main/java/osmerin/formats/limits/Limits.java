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

  private Limits() {}

  /** A file beyond a limit, with a sentence that says which. */
  public static UnreadableFileException exceeded(String sentence) {
    return new UnreadableFileException(Fault.TOO_LARGE, sentence);
  }
}
