package osmerin.formats.word;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigInteger;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.poi.xwpf.usermodel.XWPFAbstractNum;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFNumbering;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.apache.poi.xwpf.usermodel.XWPFStyle;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTAbstractNum;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTLvl;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPPrGeneral;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTStyle;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.STNumberFormat;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.STStyleType;

/**
 * A document that is written from top to bottom: headings that show in the outline of an office
 * program, paragraphs, lists, tables. Addresses in texts become links.
 */
public final class WordDocument {
  private static final Pattern ADDRESS = Pattern.compile("https?://[^\\s<>\"]*[^\\s<>\".,;:!?)]");
  private static final int HEADING_SIZE = 20;
  private static final int STEP = 360;

  private final XWPFDocument document = new XWPFDocument();
  private final BigInteger bullets;

  public WordDocument() {
    for (int level = 1; level <= 3; level++) {
      document.createStyles().addStyle(heading(level));
    }
    bullets = bullets();
  }

  /** A style that office programs know as a heading. */
  private static XWPFStyle heading(int level) {
    CTStyle style = CTStyle.Factory.newInstance();
    style.setStyleId("Heading" + level);
    style.addNewName().setVal("heading " + level);
    style.setType(STStyleType.PARAGRAPH);
    style.addNewQFormat();
    CTPPrGeneral paragraph = style.addNewPPr();
    paragraph.addNewKeepNext();
    paragraph.addNewSpacing().setBefore(BigInteger.valueOf(240));
    paragraph.addNewOutlineLvl().setVal(BigInteger.valueOf(level - 1L));
    style.addNewRPr().addNewB();
    style.getRPr().addNewSz().setVal(BigInteger.valueOf(2L * (HEADING_SIZE - 3L * level)));
    return new XWPFStyle(style);
  }

  private BigInteger bullets() {
    CTAbstractNum list = CTAbstractNum.Factory.newInstance();
    list.setAbstractNumId(BigInteger.ZERO);
    for (int level = 0; level < 3; level++) {
      CTLvl its = list.addNewLvl();
      its.setIlvl(BigInteger.valueOf(level));
      its.addNewStart().setVal(BigInteger.ONE);
      its.addNewNumFmt().setVal(STNumberFormat.BULLET);
      its.addNewLvlText().setVal("•");
      its.addNewPPr().addNewInd().setLeft(BigInteger.valueOf((level + 1L) * STEP));
      its.getPPr().getInd().setHanging(BigInteger.valueOf(STEP));
    }
    XWPFNumbering numbering = document.createNumbering();
    return numbering.addNum(numbering.addAbstractNum(new XWPFAbstractNum(list)));
  }

  /** A heading of a level from 1. */
  public void heading(String text, int level) {
    XWPFParagraph paragraph = document.createParagraph();
    paragraph.setStyle("Heading" + level);
    paragraph.createRun().setText(clean(text));
  }

  /** A line that says where the document comes from. */
  public void small(String text) {
    XWPFRun run = document.createParagraph().createRun();
    run.setFontSize(9);
    run.setColor("5B6B6E");
    run.setText(clean(text));
  }

  /** A paragraph for each line. */
  public void text(String text) {
    text.lines().forEach(line -> write(document.createParagraph(), line));
  }

  /** An item of a list, nested by its depth from 0 to 2. */
  public void item(String text, int depth) {
    XWPFParagraph paragraph = document.createParagraph();
    paragraph.setNumID(bullets);
    paragraph.setNumILvl(BigInteger.valueOf(depth));
    write(paragraph, text);
  }

  /** A table; nothing where there are no rows. */
  public void table(List<List<String>> rows) {
    if (rows.isEmpty()) {
      return;
    }
    XWPFTable table = document.createTable(rows.size(), rows.get(0).size());
    table.setWidth("100%");
    for (int row = 0; row < rows.size(); row++) {
      for (int column = 0; column < rows.get(row).size(); column++) {
        write(table.getRow(row).getCell(column).getParagraphArray(0), rows.get(row).get(column));
      }
    }
  }

  private static void write(XWPFParagraph paragraph, String text) {
    String clean = clean(text);
    Matcher address = ADDRESS.matcher(clean);
    int from = 0;
    while (address.find()) {
      if (!isAddress(address.group())) {
        continue;
      }
      paragraph.createRun().setText(clean.substring(from, address.start()));
      XWPFRun link = paragraph.createHyperlinkRun(address.group());
      link.setText(address.group());
      link.setColor("0F5C63");
      from = address.end();
    }
    paragraph.createRun().setText(clean.substring(from));
  }

  private static boolean isAddress(String text) {
    try {
      return new URI(text).getHost() != null;
    } catch (URISyntaxException e) {
      return false;
    }
  }

  /** XML has no place for control characters and lone surrogates. */
  private static String clean(String text) {
    StringBuilder clean = new StringBuilder();
    text.codePoints()
        .filter(
            c -> c == '\t' || c >= 0x20 && c < 0xD800 || c > 0xDFFF && c != 0xFFFE && c != 0xFFFF)
        .forEach(clean::appendCodePoint);
    return clean.toString();
  }

  /** The file. */
  public byte[] bytes() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (document) {
      document.write(bytes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }
}
