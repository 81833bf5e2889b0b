package osmerin.formats.inventory;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.ZoneId;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import osmerin.formats.limits.Inflating;
import osmerin.formats.table.TableFile;
import osmerin.formats.text.Markup;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/**
 * Reads what is live from a file, which shows by itself what it is: a sitemap or an index of
 * sitemaps, an Atom or RSS feed, a table, a ZIP archive of Markdown, or any of these packed by
 * gzip.
 */
public final class InventoryFile {
  private final String siteAddress;
  private final ZoneId zone;

  /**
   * @param siteAddress "https://marlpit.example", for addresses without a host
   * @param zone in which a moment becomes a day
   */
  public InventoryFile(String siteAddress, ZoneId zone) {
    this.siteAddress = siteAddress;
    this.zone = zone;
  }

  /**
   * Reads a file.
   *
   * @throws UnreadableFileException when it is none of the forms, or broken
   */
  public InventoryReading read(byte[] bytes) {
    byte[] plain = isGzip(bytes) ? unpacked(bytes) : bytes;
    if (plain.length == 0) {
      throw new UnreadableFileException(Fault.EMPTY, "The file is empty.");
    }
    Pages pages = new Pages(siteAddress);
    if (isZip(plain) && !TableFile.isWorkbook(plain)) {
      new MarkdownArchive(zone).read(plain, pages);
      return pages.reading();
    }
    Optional<Markup> markup = Markup.of(plain);
    if (markup.isPresent()) {
      read(markup.get(), plain, pages);
    } else {
      new PageTable(zone).read(plain, pages);
    }
    return pages.reading();
  }

  private void read(Markup markup, byte[] plain, Pages pages) {
    switch (markup) {
      case SITEMAP -> new SitemapReader(zone).read(plain, siteAddress, pages);
      case FEED -> new FeedReader(zone).read(plain, pages);
      case WEB_PAGE ->
          throw refused(
              "This is a web page. Choose the sitemap or the feed of the blog, or a table of addresses.");
      case OTHER -> throw refused("This looks like XML, but it is neither a sitemap nor a feed.");
    }
  }

  private static UnreadableFileException refused(String what) {
    return new UnreadableFileException(Fault.NO_ADDRESSES, what);
  }

  private static boolean isGzip(byte[] bytes) {
    return bytes.length > 2 && (bytes[0] & 0xff) == 0x1f && (bytes[1] & 0xff) == 0x8b;
  }

  private static boolean isZip(byte[] bytes) {
    return bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
  }

  private static byte[] unpacked(byte[] bytes) {
    try (InputStream first = inflating(bytes);
        InputStream in = inflating(bytes)) {
      // Once to see how much there is, before any of it is kept.
      first.transferTo(OutputStream.nullOutputStream());
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UnreadableFileException(
          Fault.BROKEN, "The packed file is incomplete. Pack it again.");
    }
  }

  private static InputStream inflating(byte[] bytes) throws IOException {
    return new Inflating(new GZIPInputStream(new ByteArrayInputStream(bytes)), bytes.length);
  }
}
