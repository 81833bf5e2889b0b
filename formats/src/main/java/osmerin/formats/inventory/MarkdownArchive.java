package osmerin.formats.inventory;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.commonmark.ext.front.matter.YamlFrontMatterExtension;
import org.commonmark.ext.front.matter.YamlFrontMatterVisitor;
import org.commonmark.parser.Parser;
import org.jspecify.annotations.Nullable;
import osmerin.formats.limits.Inflating;
import osmerin.formats.markdown.Markdown;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/**
 * A ZIP archive of Markdown files with YAML front matter. The address is what the front matter says
 * (url, permalink, canonical), else it is made of the site's address and the slug or the file name.
 */
final class MarkdownArchive {
  private static final int MOST_ENTRIES = 50_000;
  private static final int MOST_BYTES_OF_ONE = 5_000_000;
  private static final Pattern FRONT_MATTER =
      Pattern.compile("\\uFEFF?---[ \\t]*\\R(?:(?!---).*+\\R)*+---[ \\t]*(?:\\R|$)");
  private static final Pattern DAY_IN_NAME = Pattern.compile("^(\\d{4}-\\d{2}-\\d{2})-(.+)$");

  private final DateText dates;
  private final Parser parser =
      Parser.builder().extensions(List.of(YamlFrontMatterExtension.create())).build();

  MarkdownArchive(ZoneId zone) {
    this.dates = new DateText(zone, true);
  }

  void read(byte[] bytes, Pages pages) {
    int found = 0;
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      InputStream counted = new Inflating(zip, bytes.length);
      int entries = 0;
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (++entries > MOST_ENTRIES) {
          throw new UnreadableFileException(
              Fault.BROKEN, "The archive has more than 50,000 files. Split it.");
        }
        if (isMarkdown(entry)) {
          found++;
          byte[] text = counted.readNBytes(MOST_BYTES_OF_ONE + 1);
          if (text.length > MOST_BYTES_OF_ONE) {
            pages.problem(entry.getName(), "it has more than 5 MB");
          } else {
            read(entry.getName(), new String(text, StandardCharsets.UTF_8), pages);
          }
        }
        counted.transferTo(OutputStream.nullOutputStream());
      }
    } catch (IOException e) {
      throw new UnreadableFileException(
          Fault.BROKEN, "The archive cannot be read (" + e.getMessage() + ").");
    }
    if (found == 0) {
      throw new UnreadableFileException(
          Fault.EMPTY, "The archive contains no Markdown file (.md).");
    }
  }

  private static boolean isMarkdown(ZipEntry entry) {
    String name = entry.getName().toLowerCase(Locale.ROOT);
    String file = name.substring(name.lastIndexOf('/') + 1);
    return !entry.isDirectory()
        && !file.startsWith(".")
        && !file.startsWith("_")
        && !name.startsWith("__macosx/")
        && (file.endsWith(".md") || file.endsWith(".markdown"));
  }

  private void read(String path, String text, Pages pages) {
    YamlFrontMatterVisitor front = new YamlFrontMatterVisitor();
    parser.parse(frontMatter(text)).accept(front);
    Map<String, List<String>> data = front.getData();
    if ("true".equals(first(data, "draft").orElse(""))) {
      pages.problem(path, "it is marked as a draft");
      return;
    }
    String name = path.substring(path.lastIndexOf('/') + 1).replaceFirst("\\.[^.]+$", "");
    Matcher dated = DAY_IN_NAME.matcher(name);
    boolean hasDay = dated.matches();
    String title =
        first(data, "title")
            .or(() -> Markdown.draft(text).title().filter(heading -> !heading.isBlank()))
            .orElse(null);
    LocalDate published = day(path, data, pages, "date", "published", "publishDate", "pubDate");
    if (published == null && hasDay) {
      published = dates.day(dated.group(1)).orElse(null);
    }
    pages.add(
        path,
        address(path, data, hasDay ? dated.group(2) : name),
        title,
        published,
        day(path, data, pages, "lastmod", "updated", "modified", "last_modified_at"));
  }

  /** The lines between the first two of three dashes; the text below may be anything. */
  private static String frontMatter(String text) {
    Matcher front = FRONT_MATTER.matcher(text);
    return front.lookingAt() ? front.group() : "";
  }

  private static String address(String path, Map<String, List<String>> data, String name) {
    Optional<String> said = first(data, "url", "permalink", "canonical_url", "canonical");
    if (said.isPresent()) {
      return said.get().contains("://") || said.get().startsWith("/")
          ? said.get()
          : "/" + said.get();
    }
    Optional<String> slug = first(data, "slug");
    if (slug.isPresent()) {
      return "/" + slug.get();
    }
    // A file called "index" stands for its folder.
    String[] parts = path.split("/");
    boolean index = name.equals("index") && parts.length > 1;
    return "/" + (index ? parts[parts.length - 2] : name);
  }

  private @Nullable LocalDate day(
      String path, Map<String, List<String>> data, Pages pages, String... keys) {
    Optional<String> text = first(data, keys);
    if (text.isEmpty()) {
      return null;
    }
    LocalDate day = dates.day(text.get()).orElse(null);
    if (day == null) {
      pages.problem(path, "“" + text.get() + "” is not a date; the page is imported without it");
    }
    return day;
  }

  /** The first of these keys that says something, without quotes around it. */
  private static Optional<String> first(Map<String, List<String>> data, String... keys) {
    for (String key : keys) {
      for (String value : data.getOrDefault(key, List.of())) {
        String plain = value.strip().replaceFirst("^([\"'])(.*)\\1$", "$2");
        if (!plain.isEmpty()) {
          return Optional.of(plain);
        }
      }
    }
    return Optional.empty();
  }
}
