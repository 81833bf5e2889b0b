package osmerin.formats.table;

import java.io.IOException;
import java.io.InputStream;
import java.util.Collections;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import osmerin.formats.limits.Inflating;
import osmerin.formats.limits.Limits;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/**
 * Runs once over a packed workbook, keeping nothing, before a reader gets it: how much it unpacks
 * to, how long its longest text is, and whether cells stand where no sheet has columns or name
 * texts that are not there. The reader would find out by running out of memory.
 */
final class WorkbookGuard {
  private static final int BUFFER = 1 << 16;

  /** The last column of a sheet is XFD. */
  private static final int MOST_LETTERS = 3;

  /** Bytes of a text, with entities of up to nine bytes for a character. */
  private static final int MOST_TEXT = 10 * Limits.CELL;

  private long inflated;
  private long texts;
  private long lastNamed = -1;

  private WorkbookGuard() {}

  /**
   * Looks a workbook over.
   *
   * @throws UnreadableFileException when it is beyond a limit
   */
  static void check(byte[] workbook) throws IOException {
    WorkbookGuard guard = new WorkbookGuard();
    try (ZipFile zip = ZipFile.builder().setByteArray(workbook).get()) {
      for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
        try (InputStream in = zip.getInputStream(entry)) {
          guard.over(in, entry.getName().endsWith(".xml"), Inflating.most(workbook.length));
        }
      }
    }
    if (guard.lastNamed >= guard.texts) {
      throw new UnreadableFileException(
          Fault.BROKEN, "The spreadsheet cannot be read (a cell names a text that is not there).");
    }
  }

  private void over(InputStream in, boolean isXml, long most) throws IOException {
    Scan scan = new Scan();
    byte[] buffer = new byte[BUFFER];
    for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
      inflated += n;
      if (inflated > most) {
        throw Limits.exceeded(
            "Unpacked, the spreadsheet is larger than 1 GB, or more than 200 times its size.");
      }
      for (int i = 0; isXml && i < n; i++) {
        scan.next(buffer[i]);
      }
    }
  }

  /** Reads bytes of XML without understanding more of them than this needs. */
  private final class Scan {
    /** Longer beginnings of a tag say nothing that is asked here. */
    private final byte[] tag = new byte[200];

    private int length;
    private boolean inTag;
    private int text;
    private boolean namesText;
    private boolean inValue;
    private long value;

    void next(byte b) {
      if (b == '<') {
        inTag = true;
        length = 0;
        text = 0;
      } else if (b == '>' && inTag) {
        inTag = false;
        text = 0;
        tag();
      } else if (inTag && length < tag.length) {
        tag[length++] = b;
      } else {
        text(b);
      }
    }

    private void text(byte b) {
      if (++text > MOST_TEXT) {
        throw Limits.exceeded(
            "A cell of the spreadsheet contains more than 100,000 characters. Shorten it.");
      }
      if (inValue && b >= '0' && b <= '9' && value < Integer.MAX_VALUE) {
        value = value * 10 + b - '0';
      }
    }

    private void tag() {
      if (is("si")) {
        texts++;
      } else if (is("c")) {
        namesText = at(" t=\"s\"") >= 0;
        requirePlace(at(" r=\""));
      } else if (is("v")) {
        inValue = namesText;
        value = 0;
      } else if (inValue && is("/v")) {
        lastNamed = Math.max(lastNamed, value);
        inValue = false;
      }
    }

    /** Whether the tag has this name, without the prefix of a namespace. */
    private boolean is(String name) {
      int from = 0;
      int end = 0;
      while (end < length && tag[end] != ' ' && (tag[end] != '/' || end == 0)) {
        from = tag[end] == ':' ? end + 1 : from;
        end++;
      }
      boolean closes = length > 0 && tag[0] == '/';
      String wanted = closes && name.startsWith("/") && from > 0 ? name.substring(1) : name;
      return end - from == wanted.length() && matches(wanted, from);
    }

    private boolean matches(String wanted, int from) {
      for (int i = 0; i < wanted.length(); i++) {
        if (from + i >= length || tag[from + i] != wanted.charAt(i)) {
          return false;
        }
      }
      return true;
    }

    /** Where in the tag these letters end; -1 when they are not in it. */
    private int at(String wanted) {
      for (int from = 0; from + wanted.length() <= length; from++) {
        if (matches(wanted, from)) {
          return from + wanted.length();
        }
      }
      return -1;
    }

    private void requirePlace(int from) {
      int letters = 0;
      while (from >= 0 && from + letters < length && tag[from + letters] >= 'A') {
        letters++;
      }
      if (letters > MOST_LETTERS) {
        throw Limits.exceeded(
            "A cell of the spreadsheet stands beyond its last possible column, XFD.");
      }
    }
  }
}
