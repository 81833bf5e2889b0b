package osmerin.app.research;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.research.ResearchMapper.ImportRow;
import osmerin.app.research.ResearchMapper.ProblemRow;
import osmerin.app.site.SiteContext;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.keywords.FileReading;
import osmerin.formats.keywords.KeywordFile;
import osmerin.formats.keywords.KeywordRows;
import osmerin.formats.keywords.RowProblem;

/**
 * Imports keyword research: keep the file, show how it would be read, then read it, store it and
 * group it in one transaction.
 */
@Service
public class ImportService {
  /** Problems shown of one import; the numbers count all of them. */
  static final int PROBLEMS_SHOWN = 1_000;

  /** An upload that waits for its columns to be confirmed. */
  record Waiting(UUID id, String name, KeywordFile file) {}

  /** A finished import. */
  record Finished(ImportRow row, List<ProblemRow> problems) {}

  private final ResearchMapper research;
  private final Regrouping regrouping;
  private final CopyIn copy;

  ImportService(ResearchMapper research, Regrouping regrouping, CopyIn copy) {
    this.research = research;
    this.regrouping = regrouping;
    this.copy = copy;
  }

  /**
   * Keeps an uploaded file until its columns are confirmed; uploads of days ago are thrown away.
   *
   * @throws osmerin.formats.text.UnreadableFileException when it is empty or no text; then nothing
   *     is kept
   */
  @Transactional
  public UUID keep(SiteContext context, String name, byte[] content) {
    new KeywordFile(content).guess();
    UUID id = UUID.randomUUID();
    research.deleteOldFiles(context.siteId());
    research.insertFile(id, context.siteId(), context.personId(), name, content);
    return id;
  }

  Waiting waiting(SiteContext context, UUID id) {
    return research
        .findFile(id, context.siteId())
        .map(f -> new Waiting(f.id(), f.name(), new KeywordFile(f.content())))
        .orElseThrow(() -> new NotFoundException("uploaded file", id));
  }

  /** Imports a file that waits. */
  @Transactional
  public long importWaiting(SiteContext context, UUID id, FileReading reading) {
    Waiting waiting = waiting(context, id);
    long done = importRows(context, waiting.name(), waiting.file().read(reading));
    research.deleteFile(id);
    return done;
  }

  /** Imports a file as it is guessed to be. */
  @Transactional
  public long importFile(SiteContext context, String name, byte[] content) {
    return importRows(context, name, new KeywordFile(content).read());
  }

  List<ImportRow> imports(SiteContext context) {
    return research.imports(context.siteId(), 50);
  }

  Finished finished(SiteContext context, long id) {
    ImportRow row =
        research
            .findImport(context.siteId(), id)
            .orElseThrow(() -> new NotFoundException("import", id));
    return new Finished(row, research.problems(id, PROBLEMS_SHOWN));
  }

  private long importRows(SiteContext context, String name, KeywordRows rows) {
    research.lock(context.siteId());
    Map<String, StoredKeyword> known =
        research.keywords(context.siteId()).stream()
            .collect(Collectors.toMap(k -> k.keyword().normal(), Function.identity()));
    List<Keyword> added = new ArrayList<>();
    Map<Long, Keyword> changed = new HashMap<>();
    for (Keyword keyword : rows.keywords()) {
      StoredKeyword before = known.get(keyword.normal());
      if (before == null) {
        added.add(keyword);
      } else {
        Keyword after = before.keyword().updatedBy(keyword);
        if (!after.equals(before.keyword())) {
          changed.put(before.id(), after);
        }
      }
    }
    ImportReport report =
        new ImportReport(
            rows.rows(),
            added.size(),
            changed.size(),
            rows.keywords().size() - added.size() - changed.size(),
            rows.repeated(),
            (int) rows.rejected());
    long importId = research.insertImport(context.siteId(), context.personId(), name, report);
    storeProblems(importId, rows.problems());
    storeAdded(context.siteId(), importId, added);
    storeChanged(importId, changed);
    regrouping.run(context.siteId());
    return importId;
  }

  private void storeProblems(long importId, List<RowProblem> problems) {
    copy.rows(
        "import_problem (import_id, line, text, reason, rejected)",
        problems,
        p -> fields(importId, p.line(), p.text(), p.reason(), p.rejected()));
  }

  private void storeAdded(long siteId, long importId, List<Keyword> added) {
    copy.rows(
        "keyword (site_id, text, normal, volume, volume_low, volume_high, difficulty,"
            + " cost_per_click, intent, pages, first_import_id, last_import_id)",
        added,
        k -> {
          List<@Nullable Object> fields = fields(siteId, k.text(), k.normal());
          fields.addAll(figures(k));
          fields.addAll(fields(importId, importId));
          return fields;
        });
  }

  private void storeChanged(long importId, Map<Long, Keyword> changed) {
    research.createChanged();
    copy.rows(
        "changed_keyword (id, volume, volume_low, volume_high, difficulty, cost_per_click, intent,"
            + " pages, import_id)",
        changed.entrySet(),
        e -> {
          List<@Nullable Object> fields = fields(e.getKey());
          fields.addAll(figures(e.getValue()));
          fields.add(importId);
          return fields;
        });
    research.applyChanged();
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

  static List<@Nullable Object> fields(@Nullable Object... fields) {
    List<@Nullable Object> list = new ArrayList<>();
    for (Object field : fields) {
      list.add(field);
    }
    return list;
  }
}
