package osmerin.formats.inventory;

import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import com.rometools.rome.io.XmlReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.ZoneId;
import osmerin.formats.limits.XmlGuard;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/** Atom and RSS feeds; a document type, which could name outside files, is refused. */
final class FeedReader {
  private final DateText dates;

  FeedReader(ZoneId zone) {
    this.dates = new DateText(zone, true);
  }

  void read(byte[] bytes, Pages pages) {
    XmlGuard.check(bytes);
    try (XmlReader reader = new XmlReader(new ByteArrayInputStream(bytes))) {
      int number = 0;
      for (SyndEntry entry : new SyndFeedInput().build(reader).getEntries()) {
        number++;
        String address = entry.getLink() != null ? entry.getLink() : entry.getUri();
        if (address == null) {
          pages.problem("entry " + number, "it has no link");
        } else {
          pages.add(
              "entry " + number,
              address,
              entry.getTitle(),
              entry.getPublishedDate() == null ? null : dates.day(entry.getPublishedDate()),
              entry.getUpdatedDate() == null ? null : dates.day(entry.getUpdatedDate()));
        }
      }
    } catch (FeedException | IOException | IllegalArgumentException e) {
      throw new UnreadableFileException(
          Fault.BROKEN, "The feed cannot be read (" + e.getMessage() + ").");
    }
  }
}
