package osmerin.app.imports;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.exclusions.Exclusions;
import osmerin.app.grouping.GroupStore;
import osmerin.app.grouping.GroupsChanged;
import osmerin.app.grouping.Placed;
import osmerin.app.grouping.Regrouping;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.KnownKeyword.ByHand;
import osmerin.app.research.SiteKeywords;
import osmerin.app.research.SiteNearness;
import osmerin.app.research.VariantFolding;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.Progress;
import osmerin.core.keyword.ExcludeList;
import osmerin.core.keyword.Keyword;
import osmerin.core.text.Counted;
import osmerin.core.text.LanguageGuess;
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
  private final ImportMapper imports;
  private final ImportStore written;
  private final Uploads uploads;
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
      SiteKeywords siteKeywords,
      ImportMapper imports,
      ImportStore written,
      Uploads uploads,
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
    this.siteKeywords = siteKeywords;
    this.imports = imports;
    this.written = written;
    this.uploads = uploads;
    this.regrouping = regrouping;
    this.store = store;
    this.folding = folding;
    this.exclusions = exclusions;
    this.copy = copy;
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
    Map<String, KnownKeyword> known = known(context.siteId());
    Compared compared = compare(context.siteId(), rows, known);
    ImportReport report = compared.report(rows);
    boolean withPages = rows.keywords().stream().anyMatch(k -> !k.pages().isEmpty());
    long importId =
        imports.insertImport(context.siteId(), context.personId(), name, report, withPages);
    written.problems(importId, rows.problems());
    written.before(importId, compared.met());
    written.changed(importId, compared.changed());
    compared.added().forEach(k -> known.put(k.keyword().normal(), k));
    compared.changed().forEach(k -> known.put(k.keyword().normal(), k));
    place(context, importId, known, compared, progress);
    written.own(importId, rows.own(), known);
    progress.at("Folding close variants");
    folding.fold(context.siteId(), known.values());
    progress.at("Matching live articles");
    events.publishEvent(new GroupsChanged(context));
    note(context, importId, name, report);
    return importId;
  }

  /**
   * What a file brings to the keywords that are known.
   *
   * @param met ids of those that it names again
   */
  private record Compared(List<KnownKeyword> added, List<KnownKeyword> changed, List<Long> met) {
    ImportReport report(KeywordRows rows) {
      return new ImportReport(
          rows.rows(),
          added.size(),
          changed.size(),
          rows.keywords().size() - added.size() - changed.size(),
          rows.repeated(),
          (int) rows.rejected(),
          (int) added.stream().filter(k -> k.byHand().excluded()).count());
    }
  }

  private Compared compare(long siteId, KeywordRows rows, Map<String, KnownKeyword> known) {
    LanguageGuess guess = guess(siteId, known.values(), rows.keywords());
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
    return new Compared(withIds(fresh, exclusions.current(siteId)), changed, met);
  }

  private void place(
      SiteContext context,
      long importId,
      Map<String, KnownKeyword> known,
      Compared compared,
      Progress progress) {
    progress.at("Grouping " + Counted.of(known.size(), "keyword"));
    regrouping.place(
        context.siteId(),
        known.values(),
        progress,
        placed -> {
          progress.at("Storing " + Counted.of(compared.added().size(), "keyword"));
          written.added(context.siteId(), importId, compared.added(), placed);
          store.storeMemberships(
              touched(known.values(), placed, compared.added(), compared.changed()));
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
    return siteKeywords.all(siteId).stream()
        .collect(Collectors.toMap(k -> k.keyword().normal(), Function.identity()));
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
}
