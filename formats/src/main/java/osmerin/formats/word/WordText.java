package osmerin.formats.word;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.poi.openxml4j.util.ZipSecureFile;
import org.apache.poi.xwpf.usermodel.IBodyElement;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.apache.poi.xwpf.usermodel.XWPFTableRow;
import osmerin.formats.limits.Limits;

/** Reads the text of a Word document as Markdown: headings, paragraphs, lists, rows of tables. */
public final class WordText {
  /** Longer texts are no drafts. */
  private static final long MOST_CHARACTERS = 5_000_000;

  private WordText() {}

  /**
   * The text.
   *
   * @throws IOException when it is no Word document, or one that unpacks to more than it should
   * @throws osmerin.formats.text.UnreadableFileException when it has more than any draft has
   */
  public static String read(byte[] file) throws IOException {
    WordGuard.check(file);
    ZipSecureFile.setMaxTextSize(MOST_CHARACTERS);
    ZipSecureFile.setMaxEntrySize(Limits.WORD_PART);
    try (XWPFDocument document = new XWPFDocument(new ByteArrayInputStream(file))) {
      List<String> blocks = new ArrayList<>();
      for (IBodyElement element : document.getBodyElements()) {
        if (element instanceof XWPFParagraph paragraph) {
          blocks.add(block(document, paragraph));
        } else if (element instanceof XWPFTable table) {
          table.getRows().forEach(row -> blocks.add(row(row)));
        }
      }
      return String.join("\n\n", blocks.stream().filter(block -> !block.isBlank()).toList());
    } catch (RuntimeException e) {
      // The library says so in many ways that a file is none.
      throw new IOException("no Word document that can be read", e);
    }
  }

  private static String block(XWPFDocument document, XWPFParagraph paragraph) {
    String text = paragraph.getText().strip();
    int level = level(document, paragraph);
    if (text.isEmpty()) {
      return "";
    }
    if (level > 0) {
      return "#".repeat(level) + " " + text.replace("\n", " ");
    }
    return paragraph.getNumID() == null ? text : "- " + text;
  }

  /**
   * 1–6 for a heading, 0 for none; names of styles are in English whatever the program's language.
   */
  private static int level(XWPFDocument document, XWPFParagraph paragraph) {
    if (paragraph.getStyleID() == null || document.getStyles() == null) {
      return 0;
    }
    var style = document.getStyles().getStyle(paragraph.getStyleID());
    String name = style == null || style.getName() == null ? "" : style.getName();
    String small = name.toLowerCase(Locale.ROOT);
    if (small.equals("title")) {
      return 1;
    }
    return small.matches("heading [1-6]") ? small.charAt(small.length() - 1) - '0' : 0;
  }

  private static String row(XWPFTableRow row) {
    return String.join(
        " · ", row.getTableCells().stream().map(cell -> cell.getText().strip()).toList());
  }
}
