package osmerin.app.briefs;

import java.util.Optional;
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
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.evidence.Evidence;

/** A brief out of the house: on paper, and as a file that other programs read. */
@Controller
@RequestMapping("/{site}/articles/{number}/brief")
class BriefFileController {
  private final ArticleService articles;
  private final BriefService briefs;
  private final BriefEvidence evidence;
  private final Lengths lengths;

  BriefFileController(
      ArticleService articles, BriefService briefs, BriefEvidence evidence, Lengths lengths) {
    this.articles = articles;
    this.briefs = briefs;
    this.evidence = evidence;
    this.lengths = lengths;
  }

  @GetMapping("/print")
  @Needs(Right.READ)
  String print(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round,
      Model model) {
    PlannedRound planned = articles.planned(site, number.number(), round);
    Brief brief = briefs.get(site, planned.round());
    Optional<KeptEvidence> kept = evidence.of(site, planned.round(), brief);
    model.addAttribute("planned", planned);
    model.addAttribute("round", planned.round());
    model.addAttribute("brief", brief);
    model.addAttribute("site", site.site());
    model.addAttribute("evidence", kept.orElse(null));
    model.addAttribute(
        "length", lengths.of(site, planned.round(), brief, drawn(kept)).orElse(null));
    return "briefs/print";
  }

  @GetMapping("/markdown")
  @Needs(Right.READ)
  ResponseEntity<String> markdown(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round) {
    Round shown = articles.get(site, number.number(), round);
    Brief brief = briefs.get(site, shown);
    Evidence drawn = drawn(evidence.of(site, shown, brief));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/markdown;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(shown.reference() + "-brief.md")
                .build()
                .toString())
        .body(BriefMarkdown.of(shown, brief, lengths.of(site, shown, brief, drawn), drawn.terms()));
  }

  private static Evidence drawn(Optional<KeptEvidence> kept) {
    return kept.map(KeptEvidence::evidence).orElse(Evidence.NONE);
  }
}
