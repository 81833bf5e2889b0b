package osmerin.formats.limits;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.zip.Deflater;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Files that no tool exports: made to use up memory, time or the stack. */
final class HostileFiles {
  private static final String SHEET_HEAD =
      "<?xml version=\"1.0\"?><worksheet"
          + " xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><sheetData>";
  private static final String SHEET_END = "</sheetData></worksheet>";

  /** Made once: some take seconds. */
  private static final Map<String, byte[]> MADE = new ConcurrentHashMap<>();

  private HostileFiles() {}

  static Set<String> names() {
    return all().keySet();
  }

  /** A file's content. */
  static byte[] of(String name) {
    return MADE.computeIfAbsent(name, its -> all().get(its).get());
  }

  /** Each by a name that says what it is. */
  private static Map<String, Supplier<byte[]>> all() {
    Map<String, Supplier<byte[]>> files = new LinkedHashMap<>();
    files.put("number-of-a-billion-digits.xlsx", () -> sheet(cell("A1", "", "1E+999999999")));
    files.put("number-of-a-billion-places.xlsx", () -> sheet(cell("A1", "", "1E-999999999")));
    files.put("cell-of-400-mb.xlsx", HostileFiles::hugeCell);
    files.put("cell-beyond-all-columns.xlsx", () -> sheet(cell("XFDZZ1", "", "1")));
    files.put("text-that-is-not-there.xlsx", () -> sheet(cell("A1", " t=\"s\"", "99999999")));
    files.put("text-before-the-first.xlsx", () -> sheet(cell("A1", " t=\"s\"", "-5")));
    files.put("row-of-two-billion.xlsx", () -> sheet("<row r=\"2147483648\"><c r=\"A1\"/></row>"));
    files.put("sheet-with-entities.xlsx", HostileFiles::entities);
    files.put("sheet-cut-off.xlsx", () -> half(sheet(cell("A1", "", "1"))));
    files.put("cell-of-a-million.csv", () -> text("keyword\n" + "a".repeat(1_000_000)));
    files.put("columns-without-end.csv", () -> text("keyword" + ",b".repeat(400_000) + "\na\n"));
    files.put("quote-without-end.csv", () -> text("keyword\n\"" + "a\n".repeat(5_000_000)));
    files.put("only-quotes.csv", () -> text("\"".repeat(5_000_000)));
    files.put("only-zeros.csv", () -> new byte[5_000_000]);
    files.put("deep-feed.xml", () -> text("<feed>" + "<a>".repeat(300_000)));
    files.put("deep-feed-that-ends.xml", HostileFiles::deepFeed);
    files.put("deep-sitemap.xml", () -> text("<urlset>" + "<url>".repeat(200_000)));
    files.put("feed-with-laughs.xml", HostileFiles::laughs);
    files.put("feed-of-attributes.xml", HostileFiles::attributes);
    files.put("sitemap-of-1-gb.xml.gz", () -> gzip(1_000));
    files.put("archive-of-1-gb.zip", HostileFiles::archive);
    return files;
  }

  static byte[] text(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static byte[] half(byte[] whole) {
    return java.util.Arrays.copyOf(whole, whole.length * 2 / 3);
  }

  private static String cell(String place, String type, String value) {
    return "<row r=\"1\"><c r=\"" + place + "\"" + type + "><v>" + value + "</v></c></row>";
  }

  private static byte[] sheet(String rows) {
    return workbook(out -> write(out, SHEET_HEAD + rows + SHEET_END), "");
  }

  private static byte[] hugeCell() {
    return workbook(
        out -> {
          write(out, SHEET_HEAD + "<row r=\"1\"><c r=\"A1\" t=\"inlineStr\"><is><t>");
          byte[] megabyte = "a".repeat(1_000_000).getBytes(StandardCharsets.US_ASCII);
          for (int i = 0; i < 400; i++) {
            out.write(megabyte);
          }
          write(out, "</t></is></c></row>" + SHEET_END);
        },
        "");
  }

  private static byte[] entities() {
    String type =
        "<!DOCTYPE w [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;&a;&a;&a;&a;&a;\">]>";
    return workbook(out -> write(out, SHEET_HEAD + cell("A1", "", "&b;") + SHEET_END), type);
  }

  private interface Part {
    void to(OutputStream out) throws IOException;
  }

  private static byte[] workbook(Part sheet, String documentType) {
    return zip(
        zip -> {
          part(zip, "[Content_Types].xml", o -> write(o, CONTENT_TYPES));
          part(zip, "_rels/.rels", o -> write(o, RELS));
          part(zip, "xl/workbook.xml", o -> write(o, documentType + WORKBOOK));
          part(zip, "xl/_rels/workbook.xml.rels", o -> write(o, WORKBOOK_RELS));
          part(zip, "xl/sharedStrings.xml", o -> write(o, STRINGS));
          part(zip, "xl/worksheets/sheet1.xml", sheet);
        });
  }

  private interface Parts {
    void to(ZipOutputStream zip) throws IOException;
  }

  private static byte[] zip(Parts parts) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.setLevel(Deflater.BEST_SPEED);
      parts.to(zip);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static void part(ZipOutputStream zip, String name, Part part) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    part.to(zip);
    zip.closeEntry();
  }

  private static void write(OutputStream out, String text) throws IOException {
    out.write(text.getBytes(StandardCharsets.UTF_8));
  }

  private static byte[] deepFeed() {
    return text(
        "<rss><channel><item>"
            + "<b>".repeat(60_000)
            + "</b>".repeat(60_000)
            + "</item></channel></rss>");
  }

  private static byte[] laughs() {
    StringBuilder type = new StringBuilder("<!DOCTYPE feed [<!ENTITY a0 \"ha\">");
    for (int i = 1; i < 12; i++) {
      type.append("<!ENTITY a").append(i).append(" \"").append(("&a" + (i - 1) + ";").repeat(10));
      type.append("\">");
    }
    return text(type + "]><feed><entry><title>&a11;</title></entry></feed>");
  }

  private static byte[] attributes() {
    StringBuilder feed = new StringBuilder("<feed");
    for (int i = 0; i < 60_000; i++) {
      feed.append(" a").append(i).append("=\"\"");
    }
    return text(feed + "><entry/></feed>");
  }

  private static OutputStream quick(OutputStream out) throws IOException {
    return new GZIPOutputStream(out) {
      {
        def.setLevel(Deflater.BEST_SPEED);
      }
    };
  }

  private static byte[] gzip(int megabytes) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (OutputStream gzip = quick(out)) {
      write(gzip, "<urlset>");
      byte[] megabyte = new byte[1_000_000];
      for (int i = 0; i < megabytes; i++) {
        gzip.write(megabyte);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static byte[] archive() {
    byte[] megabyte = new byte[1_000_000];
    return zip(
        zip -> {
          for (int i = 0; i < 10; i++) {
            part(
                zip,
                "picture" + i + ".bin",
                out -> {
                  for (int n = 0; n < 100; n++) {
                    out.write(megabyte);
                  }
                });
          }
          part(zip, "post.md", o -> write(o, "# A post"));
        });
  }

  private static final String CONTENT_TYPES =
      "<?xml version=\"1.0\"?><Types"
          + " xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"><Default"
          + " Extension=\"xml\" ContentType=\"application/xml\"/><Default Extension=\"rels\""
          + " ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/><Override"
          + " PartName=\"/xl/workbook.xml\""
          + " ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml\"/><Override"
          + " PartName=\"/xl/sharedStrings.xml\""
          + " ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.sharedStrings+xml\"/><Override"
          + " PartName=\"/xl/worksheets/sheet1.xml\""
          + " ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml\"/></Types>";

  private static final String RELS =
      "<?xml version=\"1.0\"?><Relationships"
          + " xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship"
          + " Id=\"rId1\""
          + " Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument\""
          + " Target=\"xl/workbook.xml\"/></Relationships>";

  private static final String WORKBOOK =
      "<workbook xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\""
          + " xmlns:r=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships\"><sheets><sheet"
          + " name=\"One\" sheetId=\"1\" r:id=\"rId1\"/></sheets></workbook>";

  private static final String WORKBOOK_RELS =
      "<?xml version=\"1.0\"?><Relationships"
          + " xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship"
          + " Id=\"rId1\""
          + " Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet\""
          + " Target=\"worksheets/sheet1.xml\"/><Relationship Id=\"rId2\""
          + " Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/sharedStrings\""
          + " Target=\"sharedStrings.xml\"/></Relationships>";

  private static final String STRINGS =
      "<?xml version=\"1.0\"?><sst"
          + " xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\" count=\"1\""
          + " uniqueCount=\"1\"><si><t>keyword</t></si></sst>";
}
