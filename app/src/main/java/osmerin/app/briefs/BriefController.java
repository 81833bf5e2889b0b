package osmerin.app.briefs;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.answers.ResearchBeside;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefService.Saved;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.near.NearTexts;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.Round;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.meaning.Nearness;

/** The brief of an article: its page, signing it off or refusing it. */
@Controller
@RequestMapping("/{site}/articles/{number}/brief")
class BriefController {
  private static final int MOST_NEAR = 6;

  private final ArticleService articles;
  private final BriefService briefs;
  private final BriefPages pages;
  private final TitleBench bench;
  private final SignOffs signOffs;
  private final EvidenceService evidence;
  private final ResearchBeside research;
  private final NearTexts near;

  BriefController(
      ArticleService articles,
      BriefService briefs,
      BriefPages pages,
      TitleBench bench,
      SignOffs signOffs,
      EvidenceService evidence,
      ResearchBeside research,
      NearTexts near) {
    this.near = near;
    this.articles = articles;
    this.briefs = briefs;
    this.pages = pages;
    this.bench = bench;
    this.signOffs = signOffs;
    this.evidence = evidence;
    this.research = research;
  }

  @GetMapping
  @Needs(Right.READ)
  String brief(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round,
      Model model) {
    Round shown = articles.get(site, number.number(), round);
    return page(site, shown, pages.of(site, shown), model);
  }

  private String page(SiteContext site, Round round, BriefPage page, Model model) {
    if (page.evidence() != null) {
      evidence.look(page.evidence());
    }
    model.addAttribute("round", round);
    model.addAttribute("page", page);
    model.addAttribute("maySign", signOffs.may(site, round));
    model.addAttribute("deepest", Outline.DEEPEST);
    model.addAttribute("beside", BriefBeside.of(page));
    model.addAttribute("since", pages.since(site, page).orElse(null));
    model.addAttribute("allParts", BriefPart.values());
    model.addAttribute("patterns", bench.patterns(site));
    model.addAttribute("candidates", bench.candidates(site, round, page));
    model.addAttribute("searchConnected", evidence.isSearchConnected());
    model.addAttribute("liveNear", liveNear(site, round, page));
    research.show(site, round, model);
    return "briefs/brief";
  }

  /** Live articles that this one may link to and be linked from, the nearest first. */
  private List<NearTexts.Near> liveNear(SiteContext site, Round round, BriefPage page) {
    if (!page.has(BriefPart.LINKS)) {
      return List.of();
    }
    String about = page.brief().workingTitle() + " " + page.brief().primaryKeyword();
    return near.live(site, about, Nearness.DEFAULT_LEAST, MOST_NEAR + 1).stream()
        .filter(other -> !other.reference().equals(round.reference()))
        .limit(MOST_NEAR)
        .toList();
  }

  /** Saves all of it at once, where no script saves each field by itself. */
  @PostMapping
  @Needs(Right.WORK)
  String save(SiteContext site, @PathVariable ReferenceNumber number, BriefForm form, Reply reply) {
    Round round = articles.get(site, number.number());
    Brief now = briefs.get(site, round);
    Saved saved;
    try {
      saved = briefs.save(site, round, form.over(now.content()), form.version());
    } catch (RefusedException e) {
      reply.refuse(e);
      reply.with("typed", form);
      return page(
          site, round, pages.of(site, round, now.with(form.texts(now.content()))), reply.model());
    }
    if (saved instanceof Saved.Conflict conflict) {
      reply.status(HttpStatus.CONFLICT);
      reply.with("conflict", conflict);
      Brief typed = conflict.theirs().with(form.over(conflict.theirs().content()));
      return page(site, round, pages.of(site, round, typed), reply.model());
    }
    reply.say("The brief of " + round.reference() + " is saved.");
    return back(site, round);
  }

  @PostMapping("/sign-off")
  @Needs(Right.EDIT)
  String signOff(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam int version,
      Reply reply) {
    Round round = articles.get(site, number.number());
    signOffs.signOff(site, round, version);
    reply.say("The brief of " + round.reference() + " is signed off.");
    return back(site, round);
  }

  @PostMapping("/refuse")
  @Needs(Right.EDIT)
  String refuse(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String what,
      Reply reply) {
    Round round = articles.get(site, number.number());
    signOffs.refuse(site, round, what);
    reply.say("The writer of the brief of " + round.reference() + " gets your note.");
    return back(site, round);
  }

  private static String back(SiteContext site, Round round) {
    return "redirect:" + site.base() + "/articles/" + round.reference() + "/brief";
  }
}
