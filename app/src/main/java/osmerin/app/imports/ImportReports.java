package osmerin.app.imports;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.imports.ImportMapper.FigureChange;
import osmerin.app.imports.ImportMapper.ImportRow;
import osmerin.app.imports.ImportMapper.ProblemRow;
import osmerin.app.imports.ImportMapper.ProblemTotal;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.site.SiteContext;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.keywords.GroupFile;

/** What came of imports. */
@Service
public class ImportReports {
  /** Problems shown of one import; the numbers count all of them. */
  static final int PROBLEMS_SHOWN = 1_000;

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

  private final ImportMapper imports;

  ImportReports(ImportMapper imports) {
    this.imports = imports;
  }

  /** Imports, the latest first. */
  public List<ImportRow> imports(SiteContext context, int offset, int limit) {
    return imports.imports(context.siteId(), offset, limit);
  }

  long countImports(SiteContext context) {
    return imports.countImports(context.siteId());
  }

  /** Keywords whose figures an import changed, the greatest change of volume first. */
  List<FigureChange> figureChanges(SiteContext context, long importId, int offset, int limit) {
    return imports.figureChanges(context.siteId(), importId, offset, limit);
  }

  long countFigureChanges(long importId) {
    return imports.countFigureChanges(importId);
  }

  Finished finished(SiteContext context, long id) {
    ImportRow row =
        imports
            .findImport(context.siteId(), id)
            .orElseThrow(() -> new NotFoundException("import", id));
    return new Finished(
        row,
        imports.problemTotals(id),
        imports.problems(id, PROBLEMS_SHOWN),
        imports.countOwn(context.siteId(), id),
        imports.ownPages(context.siteId(), id).size());
  }

  /** Writes everything that was wrong in a file as CSV, by line. */
  @Transactional(readOnly = true)
  public void writeProblems(SiteContext context, long id, Writer out) {
    if (imports.findImport(context.siteId(), id).isEmpty()) {
      throw new NotFoundException("import", id);
    }
    try (CsvWriter csv = CsvWriter.builder().build(out)) {
      csv.writeRecord("line", "row", "reason", "value", "outcome");
      imports.eachProblem(id, result -> csv.writeRecord(fieldsOf(result.getResultObject())));
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
    return imports.ownPages(context.siteId(), importId).stream().map(PageAddress::new).toList();
  }
}
