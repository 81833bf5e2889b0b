package osmerin.formats.inventory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.formats.inventory.InventoryReading.Problem;
import osmerin.formats.text.UnreadableFileException;

class InventoryFileTest {
  private static final String SITEMAP =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <!-- made by hand -->
      <urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9" xmlns:image="http://www.google.com/schemas/sitemap-image/1.1">
        <url><loc> https://eels.example/traps?a=1&amp;b=2 </loc><lastmod>2024-03-05</lastmod><priority>0.5</priority></url>
        <url><loc>https://eels.example/smoke</loc><lastmod>2023-12-31T23:30:00-05:00</lastmod>
          <image:image><image:loc>https://eels.example/smoke.jpg</image:loc></image:image></url>
        <url><loc>https://www.eels.example/smoke/</loc></url>
      </urlset>
      """;

  private final InventoryFile file =
      new InventoryFile("https://eels.example", ZoneId.of("Europe/London"));

  @Test
  void aSitemapWithImagesSpacesAndTheSamePageTwice() {
    InventoryReading reading = read(SITEMAP);
    assertThat(reading.pages())
        .containsExactly(
            new LivePage(
                "https://eels.example/traps?a=1&b=2", null, null, LocalDate.of(2024, 3, 5)),
            new LivePage("https://eels.example/smoke", null, null, LocalDate.of(2024, 1, 1)));
  }

  @Test
  void aSitemapThatIsPackedOrHasAByteOrderMark() throws IOException {
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
      gzip.write(SITEMAP.getBytes(StandardCharsets.UTF_8));
    }
    assertThat(file.read(packed.toByteArray()).pages()).hasSize(2);
    assertThat(read("\uFEFF" + SITEMAP).pages()).hasSize(2);
    byte[] broken = Arrays.copyOf(packed.toByteArray(), 40);
    assertThatThrownBy(() -> file.read(broken)).isInstanceOf(UnreadableFileException.class);
  }

  @Test
  void anIndexNamesItsParts() {
    InventoryReading reading =
        read(
            """
            <sitemapindex xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">
              <sitemap><loc>https://eels.example/posts.xml.gz</loc></sitemap>
              <sitemap><loc>https://eels.example/pages.xml</loc><lastmod>2024-01-01</lastmod></sitemap>
            </sitemapindex>
            """);
    assertThat(reading.pages()).isEmpty();
    assertThat(reading.parts())
        .containsExactlyInAnyOrder(
            "https://eels.example/posts.xml.gz", "https://eels.example/pages.xml");
  }

  @Test
  void anAtomFeedSaysTitleAndBothDays() {
    InventoryReading reading =
        read(
            """
            <?xml version="1.0"?><feed xmlns="http://www.w3.org/2005/Atom"><title>Eels</title><id>x</id><updated>2024-05-01T00:00:00Z</updated>
            <entry><title>Traps &amp; nets</title><id>a</id><link rel="alternate" href="https://eels.example/traps"/><published>2022-02-03T10:00:00Z</published><updated>2024-05-01T00:00:00Z</updated></entry>
            <entry><title>No link</title><id>urn:b</id><updated>2024-05-01T00:00:00Z</updated></entry>
            </feed>
            """);
    assertThat(reading.pages())
        .containsExactly(
            new LivePage(
                "https://eels.example/traps",
                "Traps & nets",
                LocalDate.of(2022, 2, 3),
                LocalDate.of(2024, 5, 1)));
    assertThat(reading.problems()).hasSize(1);
  }

  @Test
  void anRssFeedWithARelativeLink() {
    InventoryReading reading =
        read(
            """
            <rss version="2.0"><channel><title>Eels</title><link>https://eels.example</link><description>d</description>
            <item><title>Smoke</title><link>/smoke</link><pubDate>Tue, 06 Feb 2024 09:00:00 GMT</pubDate></item>
            </channel></rss>
            """);
    assertThat(reading.pages())
        .containsExactly(
            new LivePage("https://eels.example/smoke", "Smoke", LocalDate.of(2024, 2, 6), null));
  }

  @Test
  void aDocumentTypeIsRefused() {
    String evil =
        "<!DOCTYPE rss [<!ENTITY x SYSTEM \"file:///etc/hostname\">]><rss version=\"2.0\"><channel>"
            + "<title>&x;</title><link>l</link><description>d</description></channel></rss>";
    assertThatThrownBy(() -> read(evil)).isInstanceOf(UnreadableFileException.class);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          <!doctype html><html><body><p>Eels</p></body></html> | This is a web page.
          <html lang="en"> <head><title>Eels</title></head></html> | This is a web page.
          <?xml version="1.0"?><posts><post url="https://eels.example/a"/></posts> | looks like XML
          """)
  void whatHoldsTagsButListsNoPagesIsToldWhatItIs(String file, String told) {
    assertThatThrownBy(() -> read(file))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining(told);
  }

  @Test
  void aTableUnderATitleWithDaysInItsOwnOrder() {
    InventoryReading reading =
        read(
            """
            All our posts
            Title;URL;Publish Date;Last modified
            Traps;https://eels.example/traps;02/25/2023;03/04/2024
            Smoke;/smoke;12/01/2023;soon
            Bad;not an address;;
            """);
    assertThat(reading.pages())
        .containsExactly(
            new LivePage(
                "https://eels.example/traps",
                "Traps",
                LocalDate.of(2023, 2, 25),
                LocalDate.of(2024, 3, 4)),
            new LivePage("https://eels.example/smoke", "Smoke", LocalDate.of(2023, 12, 1), null));
    assertThat(reading.problems())
        .containsExactly(
            new Problem("line 4", "“soon” is not a date; the page is imported without it"),
            new Problem("line 5", "“not an address” is not the address of a page"));
  }

  @Test
  void aListOfAddressesAlone() {
    assertThat(read("https://eels.example/a\nhttps://eels.example/b\n").pages()).hasSize(2);
    assertThatThrownBy(() -> read("keyword,volume\neels,5\n"))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining("addresses");
    assertThatThrownBy(() -> read("")).isInstanceOf(UnreadableFileException.class);
  }

  @Test
  void anArchiveOfMarkdownWithFrontMatterOfManyKinds() throws IOException {
    Map<String, String> files = new TreeMap<>();
    files.put(
        "posts/2023-04-05-traps.md",
        "---\ntitle: \"Traps: how to\"\nlastmod: 2024-01-02\n---\nText");
    files.put(
        "posts/smoke/index.md", "---\ndate: 2023-05-06 10:00:00 +0100\n---\n# Smoking eels\nText");
    files.put(
        "posts/own.markdown", "---\nurl: https://eels.example/2022/own/\ndate: Jan 7, 2022\n---\n");
    files.put("posts/slugged.md", "---\nslug: other-name\ndate: whenever\n---\n");
    files.put("posts/secret.md", "---\ndraft: true\n---\n");
    files.put("__MACOSX/posts/._own.md", "x");
    files.put("readme.txt", "x");
    InventoryReading reading = file.read(zip(files));
    assertThat(reading.pages())
        .containsExactlyInAnyOrder(
            new LivePage(
                "https://eels.example/traps",
                "Traps: how to",
                LocalDate.of(2023, 4, 5),
                LocalDate.of(2024, 1, 2)),
            new LivePage(
                "https://eels.example/smoke", "Smoking eels", LocalDate.of(2023, 5, 6), null),
            new LivePage("https://eels.example/2022/own/", null, LocalDate.of(2022, 1, 7), null),
            new LivePage("https://eels.example/other-name", null, null, null));
    assertThat(reading.problems())
        .extracting(Problem::where)
        .containsExactlyInAnyOrder("posts/secret.md", "posts/slugged.md");
    assertThatThrownBy(() -> file.read(zip(Map.of("a.txt", "x"))))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining("no Markdown");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2024-03-05 | 2024-03-05",
        "2024-03-05T23:30:00-02:00 | 2024-03-06",
        "2024-03-05 14:02:11 +0100 | 2024-03-05",
        "2024-03-05T14:02:11.123Z | 2024-03-05",
        "5 Mar 2024 | 2024-03-05",
        "March 5, 2024 | 2024-03-05",
        "05.03.2024 | 2024-03-05",
        "5/3/2024 14:00 | 2024-03-05",
        "Tue, 05 Mar 2024 09:00:00 GMT | 2024-03-05",
        "2024/3/5 | 2024-03-05",
      })
  void daysInManyForms(String text, LocalDate day) {
    assertThat(new DateText(ZoneId.of("Europe/London"), true).day(text)).contains(day);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "soon", "2024-13-05", "31/02/2024", "5"})
  void whatIsNoDay(String text) {
    assertThat(new DateText(ZoneId.of("Europe/London"), true).day(text)).isEmpty();
  }

  private InventoryReading read(String text) {
    return file.read(text.getBytes(StandardCharsets.UTF_8));
  }

  private static byte[] zip(Map<String, String> files) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (Map.Entry<String, String> file : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
      }
    }
    return bytes.toByteArray();
  }
}
