package osmerin.app.briefs;

import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefService.Saved;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.Round;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.brief.OutlineProposal;
import osmerin.core.brief.WordBudget;
import osmerin.core.text.Counted;

/** A brief field by field: each is saved as it is typed, whoever else is in the same brief. */
@Controller
@RequestMapping("/{site}/articles/{number}/brief")
class BriefFieldController {
  private final ArticleService articles;
  private final BriefService briefs;
  private final BriefPages pages;

  BriefFieldController(ArticleService articles, BriefService briefs, BriefPages pages) {
    this.articles = articles;
    this.briefs = briefs;
    this.pages = pages;
  }

  /**
   * What is sent to {@link #field}.
   *
   * @param seen the value that was changed
   * @param value what it was changed to
   */
  record FieldForm(
      @RequestParam String field,
      @RequestParam(defaultValue = "") String seen,
      @RequestParam(defaultValue = "") String value) {}

  /** Saves one field; answers with what of the page follows from it. */
  @PostMapping("/field")
  @Needs(Right.WORK)
  String field(
      SiteContext site, @PathVariable ReferenceNumber number, FieldForm form, Reply reply) {
    Round round = articles.get(site, number.number());
    if (!BriefField.isTyped(form.field())) {
      throw new NotFoundException("field", form.field());
    }
    try {
      Saved saved = briefs.save(site, round, form.field(), line(form.seen()), line(form.value()));
      if (saved instanceof Saved.Conflict conflict) {
        reply.status(HttpStatus.CONFLICT);
        reply.with("theirs", BriefField.get(form.field()).sent(conflict.theirs().content()));
        reply.with("theirWords", BriefField.get(form.field()).words(conflict.theirs().content()));
        reply.with("by", briefs.lastBy(site, round, form.field()));
        return "briefs/field :: conflict";
      }
    } catch (RefusedException e) {
      reply.refuse(e);
      return "briefs/field :: fault";
    }
    BriefPage page = pages.of(site, round);
    reply.with("kept", page.sent(form.field()));
    reply.with("page", page);
    reply.with("beside", BriefBeside.of(page));
    return "briefs/field :: saved";
  }

  /** Browsers send line ends as CR LF; those of fields that are read by a script are LF. */
  private static String line(String sent) {
    return sent.replace("\r\n", "\n");
  }

  /** Adds what evidence has to the outline, and shares out the words that are left. */
  @PostMapping("/propose")
  @Needs(Right.WORK)
  String propose(SiteContext site, @PathVariable ReferenceNumber number, Reply reply) {
    Round round = articles.get(site, number.number());
    BriefPage before = pages.of(site, round);
    Brief after =
        change(
            site,
            round,
            outline -> {
              Outline proposed =
                  OutlineProposal.of(outline, BriefPage.say(before.evidence()), before.target());
              return before.target() == null || proposed.equals(outline)
                  ? proposed
                  : WordBudget.shared(proposed, before.target());
            });
    int added = after.outline().sections().size() - before.brief().outline().sections().size();
    reply.say(
        added > 0
            ? Counted.of(added, "section") + " added."
            : OutlineProposal.room(after.outline(), before.target()) > 0
                ? "The outline already has every heading that several pages share."
                : "More sections would be too short for this target. Add the ones you want by hand.");
    return back(site, round);
  }

  /** Gives every section words, so that they add up to the target. */
  @PostMapping("/budget")
  @Needs(Right.WORK)
  String budget(SiteContext site, @PathVariable ReferenceNumber number, Reply reply) {
    Round round = articles.get(site, number.number());
    Integer target = pages.of(site, round).target();
    if (target == null) {
      throw new RefusedException(
          "Set a length first. Without one there is no target to share out.");
    }
    change(site, round, outline -> WordBudget.shared(outline, target));
    reply.say("The sections add up to the target.");
    return back(site, round);
  }

  private Brief change(SiteContext site, Round round, UnaryOperator<Outline> how) {
    return briefs.change(site, round, now -> now.withOutline(how.apply(now.outline())));
  }

  /** Says which parts this brief has; those of its type where nothing else was said. */
  @PostMapping("/parts")
  @Needs(Right.WORK)
  String parts(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(defaultValue = "") Set<BriefPart> part,
      Reply reply) {
    Round round = articles.get(site, number.number());
    boolean usual = part.equals(pages.ofType(site, round));
    briefs.change(
        site,
        round,
        (BriefContent now) -> now.withParts(usual ? Optional.empty() : Optional.of(part)));
    reply.say(
        usual ? "This brief has the parts of its type." : "This brief now has its own parts.");
    return back(site, round);
  }

  private static String back(SiteContext site, Round round) {
    return "redirect:" + site.base() + "/articles/" + round.reference() + "/brief";
  }
}
