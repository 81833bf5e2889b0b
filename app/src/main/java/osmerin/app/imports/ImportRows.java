package osmerin.app.imports;

import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.imports.ImportComparison.Compared;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.Progress;
import osmerin.core.text.Counted;
import osmerin.formats.keywords.KeywordRows;

/** Stores the rows of a file and groups what they bring, in one transaction. */
@Component
class ImportRows {
  private final ImportComparison comparison;
  private final ImportStore written;
  private final ImportPlacing placing;
  private final History history;

  ImportRows(
      ImportComparison comparison, ImportStore written, ImportPlacing placing, History history) {
    this.comparison = comparison;
    this.written = written;
    this.placing = placing;
    this.history = history;
  }

  /** Compares, stores, places, reports: one way, in one transaction; the number of the import. */
  @Transactional
  public long bring(SiteContext context, String name, KeywordRows rows, Progress progress) {
    context.require(Right.IMPORT);
    progress.at("Comparing " + Counted.of(rows.keywords().size(), "keyword"));
    Compared compared = comparison.compare(context.siteId(), rows);
    ImportReport report = compared.report(rows);
    boolean withPages = rows.keywords().stream().anyMatch(k -> !k.pages().isEmpty());
    long importId = written.begun(context, name, report, withPages);
    written.problems(importId, rows.problems());
    written.before(importId, compared.met());
    written.changed(importId, compared.changed());
    placing.place(
        context.siteId(),
        compared,
        progress,
        placed -> written.added(context.siteId(), importId, compared.added(), placed));
    written.own(importId, rows.own(), compared.known());
    placing.settle(context, compared.known().values(), progress);
    note(context, importId, name, report);
    return importId;
  }

  private void note(SiteContext context, long importId, String name, ImportReport report) {
    history.note(
        context,
        Right.IMPORT,
        "%s was imported: %s new, %s changed."
            .formatted(name, Counted.of(report.added(), "keyword"), report.changed()),
        Change.of(Thing.IMPORT, importId, ImportUndo.IMPORT, null, "imported"));
  }
}
