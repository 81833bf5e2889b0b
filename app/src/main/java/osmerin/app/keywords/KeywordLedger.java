package osmerin.app.keywords;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.History;
import osmerin.app.keywords.KeywordMapper.Counts;
import osmerin.app.keywords.KeywordMapper.Found;
import osmerin.app.keywords.KeywordMapper.KeywordRow;
import osmerin.app.keywords.KeywordMapper.VariantRow;
import osmerin.app.keywords.KeywordMapper.VolumeAt;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.Paging;
import osmerin.app.site.SiteContext;
import osmerin.core.group.Grouping;
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

  /** So many are found at once and sorted; more are found along an index in their order. */
  private static final int FEW = 2_000;

  private final KeywordMapper keywords;
  private final History history;
  private final Cache<Asked, Matching> matching = Caffeine.newBuilder().maximumSize(500).build();

  KeywordLedger(KeywordMapper keywords, History history) {
    this.history = history;
    this.keywords = keywords;
  }

  /**
   * A page of the ledger.
   *
   * @param all how many match
   * @param folded how many of them are folded under the close variant that stands for them
   */
  public record Page(List<Row> rows, Paging paging, long all, long folded) {}

  /** A keyword with the close variants that are folded under it. */
  public record Row(KeywordRow keyword, List<VariantRow> variants) {}

  public Page page(SiteContext context, KeywordFilter filter) {
    Matching matching = matching(context, filter);
    Counts counts = matching.counts();
    long folded = filter.isFolded() ? counts.folded() : 0;
    Paging paging = new Paging(filter.pageAsked(), filter.limit(), counts.all() - folded);
    List<KeywordRow> rows =
        keywords.rows(context.siteId(), filter, matching.few(), paging.offset(), paging.size());
    Map<Long, List<VariantRow>> variants =
        folded == 0
            ? Map.of()
            : variants(context, rows.stream().map(KeywordRow::id).toList()).stream()
                .collect(Collectors.groupingBy(VariantRow::representative));
    return new Page(
        rows.stream().map(k -> new Row(k, variants.getOrDefault(k.id(), List.of()))).toList(),
        paging,
        counts.all(),
        folded);
  }

  /**
   * Everything that changes what matches is an entry in the history, so its state dates what was
   * found.
   */
  private Matching matching(SiteContext context, KeywordFilter filter) {
    Asked asked = new Asked(context.siteId(), filter.here(""), history.state(context));
    return matching.get(asked, key -> find(context.siteId(), filter));
  }

  private Matching find(long siteId, KeywordFilter filter) {
    List<Found> first = keywords.found(siteId, filter, FEW + 1);
    if (first.size() > FEW) {
      return new Matching(keywords.counts(siteId, filter), null);
    }
    long folded = first.stream().filter(Found::folded).count();
    return new Matching(new Counts(first.size(), folded), first.stream().map(Found::id).toList());
  }

  /** What was asked, and after which changes. */
  private record Asked(long siteId, String filter, String changes) {}

  /**
   * What was found.
   *
   * @param few all that match when they are few, otherwise null
   */
  private record Matching(Counts counts, @Nullable List<Long> few) {}

  /** A keyword with its volumes through time and its close variants. */
  public record Single(KeywordRow row, List<VolumeAt> volumes, List<VariantRow> variants) {}

  public Single single(SiteContext context, long id) {
    return new Single(
        keywords.find(context.siteId(), id).orElseThrow(() -> new NotFoundException("keyword", id)),
        keywords.volumes(context.siteId(), id),
        variants(context, List.of(id)));
  }

  private List<VariantRow> variants(SiteContext context, List<Long> representatives) {
    return keywords.variants(context.siteId(), representatives).stream()
        .sorted(Grouping.primaryFirst(VariantRow::searches, VariantRow::normal))
        .toList();
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
        GroupFile.volume(row.searches()),
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
