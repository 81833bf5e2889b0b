package osmerin.app.imports;

import static osmerin.app.platform.data.CopyIn.fields;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.grouping.Placed;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.research.KnownKeyword;
import osmerin.app.site.SiteContext;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.keywords.OwnRanking;
import osmerin.formats.keywords.RowProblem;

/** Writes an import down: its keywords, what they were before, own positions and problems. */
@Component
class ImportStore {
  private final ImportMapper imports;
  private final CopyIn copy;

  ImportStore(ImportMapper imports, CopyIn copy) {
    this.imports = imports;
    this.copy = copy;
  }

  /** Begins an import; its number. */
  long begun(SiteContext context, String file, ImportReport report, boolean withPages) {
    return imports.insertImport(context.siteId(), context.personId(), file, report, withPages);
  }

  /** Keeps what the keywords of the file were before, so that the import can be taken back. */
  void before(long importId, List<Long> keywordIds) {
    imports.createMet();
    copy.rows("met_keyword (id)", keywordIds, CopyIn::fields);
    imports.keepBefore(importId);
    imports.markMet(importId);
  }

  void problems(long importId, List<RowProblem> problems) {
    copy.rows(
        "import_problem (import_id, line, text, reason, value, rejected)",
        problems,
        p -> fields(importId, p.line(), p.text(), p.reason(), p.value(), p.rejected()));
  }

  void own(long importId, Map<String, OwnRanking> own, Map<String, KnownKeyword> known) {
    copy.rows(
        "own_ranking (keyword_id, import_id, position, page)",
        own.entrySet(),
        entry -> {
          PageAddress page = entry.getValue().page();
          return fields(
              known.get(entry.getKey()).id(),
              importId,
              entry.getValue().position(),
              page == null ? null : page.value());
        });
  }

  void added(long siteId, long importId, List<KnownKeyword> added, Map<Long, Placed> placed) {
    copy.rows(
        "keyword (id, site_id, text, normal, volume, volume_low, volume_high, difficulty,"
            + " cost_per_click, intent, pages, first_import_id, last_import_id, excluded, language)",
        added,
        k -> {
          List<@Nullable Object> fields =
              fields(k.id(), siteId, k.keyword().text(), k.keyword().normal());
          fields.addAll(figures(k.keyword()));
          fields.addAll(
              fields(importId, importId, k.byHand().excluded(), k.keyword().language().tag()));
          return fields;
        });
    copy.rows(
        "keyword_place (keyword_id, pinned, " + Placed.COLUMNS + ")",
        added,
        k -> {
          List<@Nullable Object> fields = fields(k.id(), k.byHand().pinned());
          fields.addAll(Placed.fields(placed.get(k.id())));
          return fields;
        });
  }

  void changed(long importId, List<KnownKeyword> changed) {
    imports.createChanged();
    copy.rows(
        "changed_keyword (id, volume, volume_low, volume_high, difficulty, cost_per_click, intent,"
            + " pages, import_id)",
        changed,
        k -> {
          List<@Nullable Object> fields = fields(k.id());
          fields.addAll(figures(k.keyword()));
          fields.add(importId);
          return fields;
        });
    imports.applyChanged();
  }

  private static List<@Nullable Object> figures(Keyword k) {
    var volume = Optional.ofNullable(k.volume());
    return fields(
        volume.map(v -> v.searches()).orElse(null),
        volume.map(v -> v.low()).orElse(null),
        volume.map(v -> v.high()).orElse(null),
        k.difficulty(),
        k.costPerClick(),
        k.intent(),
        k.pages().stream().map(PageAddress::value).toList());
  }
}
