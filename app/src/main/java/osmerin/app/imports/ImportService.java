package osmerin.app.imports;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.grouping.GroupStore;
import osmerin.app.grouping.GroupsChanged;
import osmerin.app.grouping.Placed;
import osmerin.app.grouping.Regrouping;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.imports.ImportComparison.Compared;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.research.VariantFolding;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.Progress;
import osmerin.core.text.Counted;
import osmerin.formats.keywords.FileReading;
import osmerin.formats.keywords.KeywordFile;
import osmerin.formats.keywords.KeywordRows;

/**
 * Imports keyword research: keep the file, show how it would be read, then read it, store it and
 * group it in one transaction.
 */
@Service
public class ImportService {
  private final SiteKeywords siteKeywords;
  private final ImportComparison comparison;
  private final ImportMapper imports;
  private final ImportStore written;
  private final Uploads uploads;
  private final Regrouping regrouping;
  private final GroupStore store;
  private final VariantFolding folding;
  private final Readings readings;
  private final History history;
  private final ApplicationEventPublisher events;

  ImportService(
      SiteKeywords siteKeywords,
      ImportComparison comparison,
      ImportMapper imports,
      ImportStore written,
      Uploads uploads,
      Regrouping regrouping,
      GroupStore store,
      VariantFolding folding,
      Readings readings,
      History history,
      ApplicationEventPublisher events) {
    this.events = events;
    this.readings = readings;
    this.siteKeywords = siteKeywords;
    this.comparison = comparison;
    this.imports = imports;
    this.written = written;
    this.uploads = uploads;
    this.regrouping = regrouping;
    this.store = store;
    this.folding = folding;
    this.history = history;
  }

  /**
   * Imports a file that waits.
   *
   * @param progress is told of each part of the work
   */
  @Transactional
  public long importWaiting(SiteContext context, UUID id, FileReading reading, Progress progress) {
    Named rows = read(context, uploads.waiting(context, id), reading, progress);
    long done = importRows(context, rows.name(), rows.rows(), progress);
    uploads.done(id);
    return done;
  }

  private record Named(String name, KeywordRows rows) {}

  /** On its own, so that the file is not kept in memory any longer than this. */
  private Named read(
      SiteContext context, Uploads.Waiting waiting, FileReading reading, Progress progress) {
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

  /** Reads, compares, stores, places, reports: one way, in one transaction. */
  private long importRows(SiteContext context, String name, KeywordRows rows, Progress progress) {
    context.require(Right.IMPORT);
    siteKeywords.lock(context.siteId());
    progress.at("Comparing " + Counted.of(rows.keywords().size(), "keyword"));
    Compared compared = comparison.compare(context.siteId(), rows);
    ImportReport report = compared.report(rows);
    boolean withPages = rows.keywords().stream().anyMatch(k -> !k.pages().isEmpty());
    long importId =
        imports.insertImport(context.siteId(), context.personId(), name, report, withPages);
    written.problems(importId, rows.problems());
    written.before(importId, compared.met());
    written.changed(importId, compared.changed());
    place(context, importId, compared, progress);
    written.own(importId, rows.own(), compared.known());
    progress.at("Folding close variants");
    folding.fold(context.siteId(), compared.known().values());
    progress.at("Matching live articles");
    events.publishEvent(new GroupsChanged(context));
    note(context, importId, name, report);
    return importId;
  }

  private void place(SiteContext context, long importId, Compared compared, Progress progress) {
    Collection<KnownKeyword> known = compared.known().values();
    progress.at("Grouping " + Counted.of(known.size(), "keyword"));
    regrouping.place(
        context.siteId(),
        known,
        progress,
        placed -> {
          progress.at("Storing " + Counted.of(compared.added().size(), "keyword"));
          written.added(context.siteId(), importId, compared.added(), placed);
          store.storeMemberships(touched(known, placed, compared));
        });
  }

  private void note(SiteContext context, long importId, String name, ImportReport report) {
    history.note(
        context,
        Right.IMPORT,
        "%s was imported: %s new, %s changed."
            .formatted(name, Counted.of(report.added(), "keyword"), report.changed()),
        Change.of(Thing.IMPORT, importId, ImportUndo.IMPORT, null, "imported"));
  }

  /** Those stored before whose group has a member that is new or changed. */
  private static List<Placed> touched(
      Collection<KnownKeyword> all, Map<Long, Placed> placed, Compared compared) {
    Set<Long> fresh = compared.added().stream().map(KnownKeyword::id).collect(Collectors.toSet());
    Set<Long> groups =
        Stream.concat(compared.added().stream(), compared.changed().stream())
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
}
