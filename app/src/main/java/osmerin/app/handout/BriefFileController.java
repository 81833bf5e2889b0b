package osmerin.app.handout;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefPage;
import osmerin.app.briefs.BriefPages;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** Briefs out of the house: on paper, and as files that other programs read. */
@Controller
@RequestMapping("/{site}/articles")
class BriefFileController {
  private static final String MARKDOWN = "text/markdown;charset=UTF-8";

  private final ArticleService articles;
  private final BriefPages pages;

  BriefFileController(ArticleService articles, BriefPages pages) {
    this.articles = articles;
    this.pages = pages;
  }

  @GetMapping("/{number}/brief/print")
  @Needs(Right.READ)
  String print(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round,
      Model model) {
    Round shown = articles.get(site, number.number(), round);
    model.addAttribute("round", shown);
    model.addAttribute("document", BriefDocument.of(pages.of(site, shown)));
    model.addAttribute("site", site.site());
    return "briefs/print";
  }

  @GetMapping("/{number}/brief/markdown")
  @Needs(Right.READ)
  ResponseEntity<byte[]> markdown(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round) {
    Round shown = articles.get(site, number.number(), round);
    byte[] file = BriefMarkdown.of(pages.of(site, shown)).getBytes(StandardCharsets.UTF_8);
    return file(shown.reference() + "-brief.md", MARKDOWN, file);
  }

  @GetMapping("/{number}/brief/word")
  @Needs(Right.READ)
  ResponseEntity<byte[]> word(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round) {
    Round shown = articles.get(site, number.number(), round);
    return file(
        shown.reference() + "-brief.docx", BriefWord.TYPE, BriefWord.of(pages.of(site, shown)));
  }

  /** The briefs of marked articles in one file, each as a Word document and as Markdown. */
  @GetMapping("/briefs.zip")
  @Needs(Right.READ)
  ResponseEntity<byte[]> zip(
      SiteContext site,
      @RequestParam(name = "marked", required = false) @Nullable List<Integer> marked) {
    if (marked == null || marked.isEmpty() || marked.size() > BriefZip.MOST) {
      throw new RefusedException(
          "Mark 1 to %s articles to download their briefs.".formatted(BriefZip.MOST));
    }
    List<BriefPage> briefs =
        marked.stream()
            .map(number -> articles.get(site, number))
            .map(round -> pages.of(site, round))
            .toList();
    return file("briefs.zip", "application/zip", BriefZip.of(briefs));
  }

  private static ResponseEntity<byte[]> file(String name, String type, byte[] content) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(type))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(content);
  }
}
