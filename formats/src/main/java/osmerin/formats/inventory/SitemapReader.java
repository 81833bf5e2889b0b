package osmerin.formats.inventory;

import crawlercommons.sitemaps.AbstractSiteMap;
import crawlercommons.sitemaps.Namespace;
import crawlercommons.sitemaps.SiteMap;
import crawlercommons.sitemaps.SiteMapIndex;
import crawlercommons.sitemaps.SiteMapParser;
import crawlercommons.sitemaps.UnknownFormatException;
import java.io.IOException;
import java.net.URI;
import java.net.URL;
import java.time.ZoneId;
import osmerin.formats.limits.XmlGuard;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/** Sitemaps and indexes of sitemaps, as sitemaps.org describes them. */
final class SitemapReader {
  private final DateText dates;

  SitemapReader(ZoneId zone) {
    this.dates = new DateText(zone, true);
  }

  void read(byte[] bytes, String siteAddress, Pages pages) {
    XmlGuard.check(bytes);
    try {
      URL here = URI.create(siteAddress + "/sitemap.xml").toURL();
      AbstractSiteMap map = parser().parseSiteMap("text/xml", bytes, here);
      if (map instanceof SiteMapIndex index) {
        index.getSitemaps().forEach(part -> pages.part(part.getUrl().toString()));
      } else if (map instanceof SiteMap urls) {
        urls.getSiteMapUrls()
            .forEach(
                url ->
                    pages.add(
                        url.getUrl().toString(),
                        url.getUrl().toString(),
                        null,
                        null,
                        url.getLastModified() == null ? null : dates.day(url.getLastModified())));
      }
    } catch (UnknownFormatException | IOException e) {
      throw new UnreadableFileException(
          Fault.BROKEN, "The sitemap cannot be read (" + e.getMessage() + ").");
    }
  }

  /**
   * A sitemap may lie elsewhere than the pages it names, so the parser is not strict. It is with
   * namespaces: addresses of pictures and films are no pages.
   */
  private static SiteMapParser parser() {
    SiteMapParser parser = new SiteMapParser(false, true);
    parser.setStrictNamespace(true);
    parser.addAcceptedNamespace(Namespace.SITEMAP_LEGACY);
    parser.addAcceptedNamespace(Namespace.EMPTY);
    return parser;
  }
}
