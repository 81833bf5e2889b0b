package osmerin.app.drafts;

import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService.Saved;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.Round;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.formats.markdown.Markdown;

/** Writing a draft beside its check. */
@Controller
@RequestMapping("/{site}/articles/{number}/draft")
class DraftController {
  private final BriefService briefs;
  private final ArticleService articles;
  private final DraftService drafts;

  DraftController(ArticleService articles, DraftService drafts, BriefService briefs) {
    this.briefs = briefs;
    this.articles = articles;
    this.drafts = drafts;
  }

  @GetMapping
  @Needs(Right.READ)
  String draft(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round,
      Model model) {
    Round shown = articles.get(site, number.number(), round);
    var latest = drafts.latest(shown);
    String text = latest.map(DraftVersion::text).orElse("");
    return page(site, shown, text, latest.map(DraftVersion::ordinal).orElse(0), model);
  }

  private String page(SiteContext site, Round round, String text, int seen, Model model) {
    model.addAttribute("round", round);
    model.addAttribute("text", text);
    model.addAttribute("seen", seen);
    model.addAttribute("latest", drafts.latest(round).orElse(null));
    model.addAttribute("versions", drafts.versions(round));
    model.addAttribute("check", drafts.check(site, round, text));
    model.addAttribute("page", Markdown.rendered(text));
    model.addAttribute("brief", briefs.get(site, round));
    return "drafts/draft";
  }

  @PostMapping
  @Needs(Right.WORK)
  String save(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String text,
      @RequestParam int seen,
      Reply reply) {
    Round round = articles.get(site, number.number());
    try {
      Saved saved = drafts.save(site, round, text, seen);
      if (saved instanceof Saved.Conflict conflict) {
        reply.status(HttpStatus.CONFLICT);
        reply.with("conflict", conflict.theirs());
        return page(site, round, text, conflict.theirs().ordinal(), reply.model());
      }
      reply.say(
          saved instanceof Saved.Done done
              ? "Saved as version " + done.ordinal() + "."
              : "Nothing changed since the last version.");
      return "redirect:/" + site.site().slug() + "/articles/" + round.reference() + "/draft";
    } catch (RefusedException e) {
      reply.refuse(e);
      return page(site, round, text, seen, reply.model());
    }
  }

  /** The check alone, while somebody types. */
  @PostMapping("/check")
  @Needs(Right.READ)
  String check(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String text,
      Model model) {
    Round round = articles.get(site, number.number());
    model.addAttribute("check", drafts.check(site, round, text));
    return "drafts/check :: check";
  }

  @PostMapping("/preview")
  @Needs(Right.READ)
  String preview(SiteContext site, @RequestParam String text, Model model) {
    model.addAttribute("page", Markdown.rendered(text));
    return "drafts/preview :: preview";
  }

  @GetMapping("/versions/{ordinal}")
  @Needs(Right.READ)
  String version(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable int ordinal,
      @RequestParam(required = false) @Nullable Integer round,
      Model model) {
    Round shown = articles.get(site, number.number(), round);
    DraftVersion version = drafts.version(shown, ordinal);
    model.addAttribute("round", shown);
    model.addAttribute("version", version);
    model.addAttribute("page", Markdown.rendered(version.text()));
    model.addAttribute("latest", drafts.latest(shown).orElseThrow());
    return "drafts/version";
  }

  /** Brings an old version back as a new one; the versions between stay. */
  @PostMapping("/versions/{ordinal}/restore")
  @Needs(Right.WORK)
  String restore(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable int ordinal,
      @RequestParam int seen,
      Reply reply) {
    Round round = articles.get(site, number.number());
    Saved saved = drafts.save(site, round, drafts.version(round, ordinal).text(), seen);
    if (saved instanceof Saved.Conflict conflict) {
      throw new RefusedException(
          conflict.theirs().savedBy()
              + " saved version "
              + conflict.theirs().ordinal()
              + " since. Check it first.");
    }
    reply.say("Version " + ordinal + " is the draft again.");
    return "redirect:/" + site.site().slug() + "/articles/" + round.reference() + "/draft";
  }
}
