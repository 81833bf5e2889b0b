package osmerin.app.imports;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.Charset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.imports.ImportMapper.ImportRow;
import osmerin.app.imports.Readings.Corrections;
import osmerin.app.imports.Uploads.Waiting;
import osmerin.app.platform.web.Paging;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.formats.keywords.Column;
import osmerin.formats.keywords.FileReading;
import osmerin.formats.table.Delimiter;
import osmerin.formats.table.Source;
import osmerin.formats.text.DecodedText;
import osmerin.formats.text.UnreadableFileException;

/** Brings keyword research in: upload, look and correct, report. */
@Controller
@RequestMapping("/{site}/research")
class ImportController {
  private static final int PREVIEW_ROWS = 20;

  /** Rows that can be chosen as the header. */
  private static final int HEADER_ROWS = 10;

  private static final int LATEST_SHOWN = 8;
  private static final int PAGE = 50;

  private final ImportService imports;
  private final Uploads uploads;
  private final ImportReports reports;
  private final ImportJob job;
  private final Readings readings;
  private final History history;

  ImportController(
      ImportService imports,
      Uploads uploads,
      ImportReports reports,
      ImportJob job,
      Readings readings,
      History history) {
    this.imports = imports;
    this.uploads = uploads;
    this.reports = reports;
    this.job = job;
    this.readings = readings;
    this.history = history;
  }

  @GetMapping("/import")
  @Needs(Right.IMPORT)
  String upload(SiteContext site, Model model) {
    model.addAttribute("imports", reports.imports(site, 0, LATEST_SHOWN));
    return "imports/upload";
  }

  @PostMapping("/import")
  @Needs(Right.IMPORT)
  String upload(SiteContext site, @RequestParam MultipartFile file, Reply reply)
      throws IOException {
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    try {
      if (name.isEmpty()) {
        return fault("Choose a file first.", null, upload(site, reply.model()), reply);
      }
      UUID id = uploads.keep(site, name, file.getBytes());
      return "redirect:/" + site.site().slug() + "/research/import/" + id;
    } catch (UnreadableFileException e) {
      return fault(e.getMessage(), name, upload(site, reply.model()), reply);
    }
  }

  /** A file that was imported already, on the way back for instance, leads to the imports. */
  @GetMapping("/import/{id}")
  @Needs(Right.IMPORT)
  String preview(SiteContext site, @PathVariable UUID id, Corrections corrections, Model model) {
    return uploads
        .find(site, id)
        .map(waiting -> preview(site, waiting, corrections, model))
        .orElse("redirect:" + site.base() + "/research/imports");
  }

  private String preview(SiteContext site, Waiting waiting, Corrections corrections, Model model) {
    FileReading reading = readings.reading(site, waiting.file(), corrections);
    model.addAttribute("file", waiting);
    model.addAttribute("reading", reading);
    model.addAttribute("preview", waiting.file().preview(reading, PREVIEW_ROWS));
    model.addAttribute("sheets", waiting.file().sheets());
    if (reading.source() instanceof Source.Delimited text) {
      model.addAttribute("charsets", DecodedText.CHOICES.stream().map(Charset::name).toList());
      model.addAttribute("charset", text.charset().name());
      model.addAttribute("delimiters", Delimiter.values());
      model.addAttribute("delimiter", text.delimiter());
    } else {
      model.addAttribute("sheet", ((Source.Sheet) reading.source()).name());
    }
    model.addAttribute("headerRows", Math.max(HEADER_ROWS, reading.headerRow()));
    model.addAttribute("choices", Column.values());
    return "imports/preview";
  }

  @PostMapping("/import/{id}")
  @Needs(Right.IMPORT)
  String run(SiteContext site, @PathVariable UUID id, Corrections corrections, Reply reply) {
    Waiting waiting = uploads.waiting(site, id);
    try {
      return "redirect:"
          + site.base()
          + "/work/"
          + job.order(site, waiting, readings.reading(site, waiting.file(), corrections));
    } catch (UnreadableFileException e) {
      String view = preview(site, waiting, corrections, reply.model());
      return fault(e.getMessage(), waiting.name(), view, reply);
    }
  }

  private static String fault(String message, @Nullable String fileName, String view, Reply reply) {
    reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
    reply.with("fault", message);
    reply.with("faultFile", fileName);
    return view;
  }

  /** The rows that were left out and the values that were dropped. */
  @GetMapping("/imports/{id}/problems.csv")
  @Needs(Right.READ)
  void problems(SiteContext site, @PathVariable long id, HttpServletResponse response)
      throws IOException {
    ImportRow row = reports.finished(site, id).row();
    response.setContentType("text/csv;charset=UTF-8");
    response.setHeader(
        "Content-Disposition", "attachment; filename=\"import-" + row.id() + "-problems.csv\"");
    reports.writeProblems(site, id, response.getWriter());
  }

  /** All imports, the latest first. */
  @GetMapping("/imports")
  @Needs(Right.READ)
  String imports(SiteContext site, @RequestParam(defaultValue = "1") int page, Model model) {
    Paging paging = new Paging(page, PAGE, reports.countImports(site));
    List<ImportRow> rows = reports.imports(site, paging.offset(), PAGE);
    model.addAttribute("imports", rows);
    model.addAttribute(
        "standing",
        history.standing(
            site, Thing.IMPORT, rows.stream().map(r -> String.valueOf(r.id())).toList()));
    model.addAttribute("paging", paging);
    return "imports/imports";
  }

  @GetMapping("/imports/{id}")
  @Needs(Right.READ)
  String report(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "1") int page,
      Model model) {
    model.addAttribute("report", reports.finished(site, id));
    Paging paging = new Paging(page, PAGE, reports.countFigureChanges(id));
    model.addAttribute("changes", reports.figureChanges(site, id, paging.offset(), PAGE));
    model.addAttribute("paging", paging);
    model.addAttribute("history", history.entries(site, Asked.of(Thing.IMPORT, id), 0, 5));
    return "imports/report";
  }
}
