package osmerin.formats.inventory;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.formats.table.Row;
import osmerin.formats.table.TableFile;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/** A table with a row for each page; its header may come after lines that say what the file is. */
final class PageTable {
  private static final int HEADER_WITHIN = 20;

  private enum Part {
    ADDRESS("urls?|address(es)?|links?|permalinks?|pages?|page url|loc|location|canonical( url)?"),
    TITLE("titles?|page title|post title|headline|name|h1"),
    PUBLISHED(
        "dates?|published( at| on| date)?|publish(ed)? date|publication date|post date|created( at)?"
            + "|date published|pubdate"),
    CHANGED(
        "(last )?(changed|modified|updated|edited)( at| on| date)?|last ?mod|modification date"
            + "|date (modified|updated)|update(d)? date");

    private final Pattern words;

    Part(String words) {
      this.words = Pattern.compile(words);
    }
  }

  private final ZoneId zone;

  PageTable(ZoneId zone) {
    this.zone = zone;
  }

  void read(byte[] bytes, Pages pages) {
    TableFile table = new TableFile(bytes);
    List<Row> rows = table.read(table.guess(), all -> all.toList());
    for (int i = 0; i < Math.min(rows.size(), HEADER_WITHIN); i++) {
      Map<Part, Integer> columns = columns(rows.get(i));
      if (columns.containsKey(Part.ADDRESS)) {
        read(rows.subList(i + 1, rows.size()), columns, pages);
        return;
      }
    }
    int addresses = addressColumn(rows);
    if (addresses < 0) {
      throw new UnreadableFileException(
          Fault.NO_ADDRESSES,
          "It is not a sitemap, feed or archive, and no column contains addresses of pages.");
    }
    read(rows, Map.of(Part.ADDRESS, addresses), pages);
  }

  private static Map<Part, Integer> columns(Row header) {
    Map<Part, Integer> columns = new EnumMap<>(Part.class);
    for (int i = 0; i < header.fields().size(); i++) {
      String name = header.field(i).strip().toLowerCase(Locale.ROOT).replaceAll("[_\\s-]+", " ");
      for (Part part : Part.values()) {
        if (part.words.matcher(name).matches()) {
          columns.putIfAbsent(part, i);
        }
      }
    }
    return columns;
  }

  /** Without a header: the column that begins with an address. */
  private static int addressColumn(List<Row> rows) {
    List<String> first = rows.isEmpty() ? List.of() : rows.get(0).fields();
    for (int i = 0; i < first.size(); i++) {
      if (first.get(i).strip().matches("https?://\\S+")) {
        return i;
      }
    }
    return -1;
  }

  private void read(List<Row> rows, Map<Part, Integer> columns, Pages pages) {
    DateText dates =
        new DateText(
            zone,
            DateText.dayFirst(
                rows.stream()
                    .flatMap(
                        row ->
                            Stream.of(
                                field(row, columns, Part.PUBLISHED),
                                field(row, columns, Part.CHANGED)))
                    .toList()));
    for (Row row : rows) {
      String where = "line " + row.line();
      pages.add(
          where,
          field(row, columns, Part.ADDRESS),
          field(row, columns, Part.TITLE),
          day(where, field(row, columns, Part.PUBLISHED), dates, pages),
          day(where, field(row, columns, Part.CHANGED), dates, pages));
    }
  }

  private static String field(Row row, Map<Part, Integer> columns, Part part) {
    Integer column = columns.get(part);
    return column == null ? "" : row.field(column).strip();
  }

  /** A day that cannot be read is a problem of its own: the page is taken without it. */
  private static @Nullable LocalDate day(String where, String text, DateText dates, Pages pages) {
    if (text.isEmpty()) {
      return null;
    }
    LocalDate day = dates.day(text).orElse(null);
    if (day == null) {
      pages.problem(where, "“" + text + "” is not a date; the page is imported without it");
    }
    return day;
  }
}
