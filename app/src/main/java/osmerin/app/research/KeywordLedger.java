package osmerin.app.research;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.web.Paging;
import osmerin.app.research.KeywordMapper.KeywordRow;
import osmerin.app.site.SiteContext;
import osmerin.formats.keywords.GroupFile;

/** All keywords of a site, filtered and in order. */
@Service
public class KeywordLedger {
  static final List<String> HEADER =
      List.of(
          "keyword",
          "volume",
          "difficulty",
          "cost_per_click",
          "intent",
          "ranking_pages",
          "group",
          "topic",
          "covered");

  private final KeywordMapper keywords;

  KeywordLedger(KeywordMapper keywords) {
    this.keywords = keywords;
  }

  /** A page of the ledger. */
  public record Page(List<KeywordRow> rows, Paging paging) {}

  public Page page(SiteContext context, KeywordFilter filter) {
    long total = keywords.count(context.siteId(), filter);
    Paging paging = new Paging(filter.pageAsked(), filter.limit(), total);
    return new Page(
        keywords.rows(context.siteId(), filter, paging.offset(), paging.size()), paging);
  }

  /** Writes all that match as CSV, row by row. */
  @Transactional(readOnly = true)
  public void write(SiteContext context, KeywordFilter filter, Writer out) {
    try (CsvWriter csv = CsvWriter.builder().build(out)) {
      csv.writeRecord(HEADER);
      keywords.all(
          context.siteId(), filter, result -> csv.writeRecord(fields(result.getResultObject())));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<String> fields(KeywordRow row) {
    return List.of(
        GroupFile.defused(row.text()),
        text(row.volume()),
        text(row.difficulty()),
        text(row.cost()),
        row.intent() == null ? "" : row.intent().name().toLowerCase(Locale.ROOT),
        text(row.pages()),
        GroupFile.defused(text(row.groupName())),
        GroupFile.defused(text(row.topic())),
        row.covered() ? "yes" : "no");
  }

  private static String text(@Nullable Object value) {
    return value == null ? "" : value.toString();
  }
}
