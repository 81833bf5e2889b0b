package osmerin.standins;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.text.Normalizer;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.safety.Safelist;
import tools.jackson.databind.json.JsonMapper;

/** The entries of a blog, each a JSON file in a folder. */
final class BlogEntries {
  /**
   * An article as it is published.
   *
   * @param path of its page, never changed
   * @param uid the client's own name for it, may be empty
   */
  record Entry(
      String path, String uid, String name, String html, Instant published, Instant updated) {}

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final Path folder;
  private final Clock clock;
  private final List<Entry> entries = new ArrayList<>();

  BlogEntries(Path folder, Clock clock) throws IOException {
    this.folder = Files.createDirectories(folder);
    this.clock = clock;
    try (Stream<Path> files = Files.list(folder)) {
      files
          .filter(file -> file.toString().endsWith(".json"))
          .sorted()
          .forEach(file -> entries.add(JSON.readValue(file.toFile(), Entry.class)));
    }
  }

  /** All entries, the latest first. */
  synchronized List<Entry> all() {
    return entries.stream().sorted(Comparator.comparing(Entry::published).reversed()).toList();
  }

  /**
   * Creates, or gives the entry that has this uid already.
   *
   * @param published an ISO 8601 moment; empty for now
   */
  synchronized Entry create(String uid, String name, String html, String slug, String published)
      throws IOException {
    for (Entry entry : entries) {
      if (!uid.isEmpty() && entry.uid().equals(uid)) {
        return entry;
      }
    }
    Instant now =
        published.isBlank() ? clock.instant() : OffsetDateTime.parse(published).toInstant();
    String path = freePath(now, slug.isBlank() ? name : slug);
    Entry entry = new Entry(path, uid, name, clean(html), now, now);
    entries.add(entry);
    save(entry);
    return entry;
  }

  synchronized void replace(Entry entry, String name, String html) throws IOException {
    Entry updated =
        new Entry(entry.path(), entry.uid(), name, clean(html), entry.published(), clock.instant());
    entries.set(entries.indexOf(entry), updated);
    save(updated);
  }

  private String freePath(Instant now, String name) {
    var day = now.atZone(ZoneOffset.UTC);
    String plain = Normalizer.normalize(name, Normalizer.Form.NFKD).replaceAll("\\p{M}", "");
    String slug =
        plain.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    String base =
        String.format(Locale.ROOT, "/%s/%02d/%s", day.getYear(), day.getMonthValue(), slug);
    String path = base;
    for (int i = 2; isTaken(path); i++) {
      path = base + "-" + i;
    }
    return path;
  }

  private boolean isTaken(String path) {
    return entries.stream().anyMatch(entry -> entry.path().equals(path));
  }

  private static String clean(String html) {
    return Jsoup.clean(html, Safelist.relaxed());
  }

  /** Written beside and moved over, so that a stopped machine leaves no half file. */
  private void save(Entry entry) {
    String name = entry.path().substring(1).replace('/', '_') + ".json";
    Path beside = folder.resolve(name + ".new");
    try {
      Files.writeString(beside, JSON.writeValueAsString(entry));
      Files.move(beside, folder.resolve(name), StandardCopyOption.ATOMIC_MOVE);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
