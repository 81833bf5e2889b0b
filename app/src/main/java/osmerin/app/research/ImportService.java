package osmerin.app.research;

import static osmerin.app.platform.data.CopyIn.fields;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.research.GroupStore.Placed;
import osmerin.app.research.KnownKeyword.ByHand;
import osmerin.app.research.ResearchMapper.FigureChange;
import osmerin.app.research.ResearchMapper.ImportRow;
import osmerin.app.research.ResearchMapper.ProblemRow;
import osmerin.app.research.ResearchMapper.ProblemTotal;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.Progress;
import osmerin.core.keyword.ExcludeList;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.text.Counted;
import osmerin.core.text.LanguageGuess;
import osmerin.formats.keywords.FileReading;
import osmerin.formats.keywords.GroupFile;
import osmerin.formats.keywords.KeywordFile;
import osmerin.formats.keywords.KeywordRows;
import osmerin.formats.keywords.OwnRanking;
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

  /**
   * A finished import.
   *
   * @param own keywords for which it says where the site's own page stands
   * @param ownPages how many pages it names then
   */
  record Finished(
      ImportRow row, List<ProblemTotal> totals, List<ProblemRow> problems, int own, int ownPages) {
    /** Values that were dropped, their rows kept. */
    public int dropped() {
      return totals.stream().filter(t -> !t.rejected()).mapToInt(ProblemTotal::rows).sum();
    }
  }

  private final ResearchMapper research;
  private final Regrouping regrouping;
  private final GroupStore store;
  private final VariantFolding folding;
  private final Exclusions exclusions;
  private final Readings readings;
  private final SiteNearness nearness;
  private final CopyIn copy;
  private final History history;
  private final ApplicationEventPublisher events;

  ImportService(
      ResearchMapper research,
      Regrouping regrouping,
      GroupStore store,
      VariantFolding folding,
      Exclusions exclusions,
      Readings readings,
      SiteNearness nearness,
      CopyIn copy,
      History history,
      ApplicationEventPublisher events) {
    this.events = events;
    this.readings = readings;
    this.nearness = nearness;
    this.research = research;
    this.regrouping = regrouping;
    this.store = store;
    this.folding = folding;
    this.exclusions = exclusions;
    this.copy = copy;
    this.history = history;
  }

  /**
   * Keeps an uploaded file until its columns are confirmed; uploads of days ago are thrown away.
   *
   * @throws osmerin.formats.text.UnreadableFileException when it is empty or no text; then nothing
   *     is kept
   */
  @Transactional
  public UUID keep(SiteContext context, String name, byte[] content) {
    context.require(Right.IMPORT);
    new KeywordFile(content).guess();
    UUID id = UUID.randomUUID();
    research.deleteOldFiles(context.siteId());
    research.insertFile(id, context.siteId(), context.personId(), name, content);
    return id;
  }

  /** A file that waits; none once it was imported. */
  Optional<Waiting> find(SiteContext context, UUID id) {
    return research
        .findFile(id, context.siteId())
        .map(f -> new Waiting(f.id(), f.name(), new KeywordFile(f.content())));
  }

  Waiting waiting(SiteContext context, UUID id) {
    return find(context, id).orElseThrow(() -> new NotFoundException("uploaded file", id));
  }

  /**
   * @throws osmerin.formats.text.UnreadableFileException when no column holds keywords
   */
  void requireReadable(SiteContext context, Waiting waiting, FileReading reading) {
    context.require(Right.IMPORT);
    waiting.file().requireKeywords(reading);
  }

  /**
   * Imports a file that waits.
   *
   * @param progress is told of each part of the work
   */
  @Transactional
  public long importWaiting(SiteContext context, UUID id, FileReading reading, Progress progress) {
    Named rows = read(context, waiting(context, id), reading, progress);
    long done = importRows(context, rows.name(), rows.rows(), progress);
    research.deleteFile(id);
    return done;
  }

  private record Named(String name, KeywordRows rows) {}

  /** On its own, so that the file is not kept in memory any longer than this. */
  private Named read(SiteContext context, Waiting waiting, FileReading reading, Progress progress) {
    progress.at("Counting the rows");
    KeywordFile.Survey survey = waiting.file().survey(reading);
    readings.remember(context, waiting.file(), reading);
    KeywordRows rows = survey.read(read -> progress.at("Reading the rows", read, survey.rows()));
    return new Named(waiting.name(), rows);
  }

  /** Imports a file as it is guessed to be. */
  @Transactional
  public long importFile(SiteContext context, String name, byte[] content) {
    return importRows(context, name, new KeywordFile(content).read(), Progress.UNWATCHED);
  }

  /** Imports, the latest first. */
  List<ImportRow> imports(SiteContext context, int offset, int limit) {
    return research.imports(context.siteId(), offset, limit);
  }

  long countImports(SiteContext context) {
    return research.countImports(context.siteId());
  }

  /** Keywords whose figures an import changed, the greatest change of volume first. */
  List<FigureChange> figureChanges(SiteContext context, long importId, int offset, int limit) {
    return research.figureChanges(context.siteId(), importId, offset, limit);
  }

  long countFigureChanges(long importId) {
    return research.countFigureChanges(importId);
  }

  Finished finished(SiteContext context, long id) {
    ImportRow row =
        research
            .findImport(context.siteId(), id)
            .orElseThrow(() -> new NotFoundException("import", id));
    return new Finished(
        row,
        research.problemTotals(id),
        research.problems(id, PROBLEMS_SHOWN),
        research.countOwn(context.siteId(), id),
        research.ownPages(context.siteId(), id).size());
  }

  /** Writes everything that was wrong in a file as CSV, by line. */
  @Transactional(readOnly = true)
  public void writeProblems(SiteContext context, long id, Writer out) {
    if (research.findImport(context.siteId(), id).isEmpty()) {
      throw new NotFoundException("import", id);
    }
    try (CsvWriter csv = CsvWriter.builder().build(out)) {
      csv.writeRecord("line", "row", "reason", "value", "outcome");
      research.eachProblem(id, result -> csv.writeRecord(fieldsOf(result.getResultObject())));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<String> fieldsOf(ProblemRow row) {
    return List.of(
        String.valueOf(row.line()),
        GroupFile.defused(row.text()),
        row.reason(),
        GroupFile.defused(row.value()),
        row.rejected() ? "row left out" : "value dropped");
  }

  /** The own pages that an import tells of, each once. */
  @Transactional(readOnly = true)
  public List<PageAddress> ownPages(SiteContext context, long importId) {
    return research.ownPages(context.siteId(), importId).stream().map(PageAddress::new).toList();
  }

  private long importRows(SiteContext context, String name, KeywordRows rows, Progress progress) {
    context.require(Right.IMPORT);
    research.lock(context.siteId());
    progress.at("Comparing " + Counted.of(rows.keywords().size(), "keyword"));
    Map<String, KnownKeyword> known = known(context.siteId());
    LanguageGuess guess = guess(context.siteId(), known.values(), rows.keywords());
    List<Keyword> fresh = new ArrayList<>();
    List<KnownKeyword> changed = new ArrayList<>();
    List<Long> met = new ArrayList<>();
    for (Keyword keyword : rows.keywords()) {
      KnownKeyword before = known.get(keyword.normal());
      if (before == null) {
        fresh.add(keyword.in(guess.of(keyword.normal())));
      } else {
        met.add(before.id());
        KnownKeyword after = before.updatedBy(keyword);
        if (!after.keyword().equals(before.keyword())) {
          changed.add(after);
        }
      }
    }
    List<KnownKeyword> added = withIds(fresh, exclusions.current(context.siteId()));
    ImportReport report =
        new ImportReport(
            rows.rows(),
            added.size(),
            changed.size(),
            rows.keywords().size() - added.size() - changed.size(),
            rows.repeated(),
            (int) rows.rejected(),
            (int) added.stream().filter(k -> k.byHand().excluded()).count());
    boolean withPages = rows.keywords().stream().anyMatch(k -> !k.pages().isEmpty());
    long importId =
        research.insertImport(context.siteId(), context.personId(), name, report, withPages);
    storeProblems(importId, rows.problems());
    storeBefore(importId, met);
    storeChanged(importId, changed);
    added.forEach(k -> known.put(k.keyword().normal(), k));
    changed.forEach(k -> known.put(k.keyword().normal(), k));
    progress.at("Grouping " + Counted.of(known.size(), "keyword"));
    regrouping.place(
        context.siteId(),
        known.values(),
        progress,
        placed -> {
          progress.at("Storing " + Counted.of(added.size(), "keyword"));
          storeAdded(context.siteId(), importId, added, placed);
          store.storeMemberships(touched(known.values(), placed, added, changed));
        });
    storeOwn(importId, rows.own(), known);
    progress.at("Folding close variants");
    folding.fold(context.siteId(), known.values());
    progress.at("Matching live articles");
    events.publishEvent(new GroupsChanged(context));
    history.note(
        context,
        Right.IMPORT,
        "%s was imported: %s new, %s changed."
            .formatted(name, Counted.of(added.size(), "keyword"), changed.size()),
        Change.of(Thing.IMPORT, importId, ImportUndo.IMPORT, null, "imported"));
    return importId;
  }

  /** Those stored before whose group has a member that is new or changed. */
  private static List<Placed> touched(
      Collection<KnownKeyword> all,
      Map<Long, Placed> placed,
      List<KnownKeyword> added,
      List<KnownKeyword> changed) {
    Set<Long> fresh = added.stream().map(KnownKeyword::id).collect(Collectors.toSet());
    Set<Long> groups =
        Stream.concat(added.stream(), changed.stream())
            .map(k -> placed.get(k.id()))
            .filter(Objects::nonNull)
            .map(Placed::groupId)
            .collect(Collectors.toSet());
    return all.stream()
        .filter(k -> !fresh.contains(k.id()))
        .map(k -> placed.get(k.id()))
        .filter(p -> p != null && groups.contains(p.groupId()))
        .toList();
  }

  /** Learned from what is known and what comes. */
  private LanguageGuess guess(long siteId, Collection<KnownKeyword> known, List<Keyword> read) {
    List<String> texts =
        Stream.concat(known.stream().map(KnownKeyword::keyword), read.stream())
            .map(Keyword::normal)
            .toList();
    return LanguageGuess.from(texts, nearness.language(siteId));
  }

  private Map<String, KnownKeyword> known(long siteId) {
    return StoredKeyword.known(research.keywords(siteId)).stream()
        .collect(Collectors.toMap(k -> k.keyword().normal(), Function.identity()));
  }

  /** Keeps what the keywords of the file were before, so that the import can be taken back. */
  private void storeBefore(long importId, List<Long> keywordIds) {
    research.createMet();
    copy.rows("met_keyword (id)", keywordIds, CopyIn::fields);
    research.keepBefore(importId);
    research.markMet(importId);
  }

  private List<KnownKeyword> withIds(List<Keyword> keywords, ExcludeList excluded) {
    Iterator<Long> ids = copy.ids("keyword", keywords.size()).iterator();
    return keywords.stream()
        .map(k -> new KnownKeyword(ids.next(), k, null, byHand(k, excluded)))
        .toList();
  }

  private static ByHand byHand(Keyword keyword, ExcludeList excluded) {
    return excluded.excludes(keyword.normal()) ? ByHand.EXCLUDED : ByHand.NOTHING;
  }

  private void storeProblems(long importId, List<RowProblem> problems) {
    copy.rows(
        "import_problem (import_id, line, text, reason, value, rejected)",
        problems,
        p -> fields(importId, p.line(), p.text(), p.reason(), p.value(), p.rejected()));
  }

  private void storeOwn(
      long importId, Map<String, OwnRanking> own, Map<String, KnownKeyword> known) {
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

  private void storeAdded(
      long siteId, long importId, List<KnownKeyword> added, Map<Long, Placed> placed) {
    copy.rows(
        "keyword (id, site_id, text, normal, volume, volume_low, volume_high, difficulty,"
            + " cost_per_click, intent, pages, first_import_id, last_import_id, pinned, excluded,"
            + " language, "
            + GroupStore.COLUMNS
            + ")",
        added,
        k -> {
          List<@Nullable Object> fields =
              fields(k.id(), siteId, k.keyword().text(), k.keyword().normal());
          fields.addAll(figures(k.keyword()));
          fields.addAll(
              fields(
                  importId,
                  importId,
                  k.byHand().pinned(),
                  k.byHand().excluded(),
                  k.keyword().language().tag()));
          Placed place = placed.get(k.id());
          fields.addAll(place == null ? GroupStore.WAITING : place.fields());
          return fields;
        });
  }

  private void storeChanged(long importId, List<KnownKeyword> changed) {
    research.createChanged();
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
}
