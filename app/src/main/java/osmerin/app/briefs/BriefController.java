package osmerin.app.briefs;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.answers.ResearchBeside;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefService.Saved;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.gathering.EvidenceJob;
import osmerin.app.platform.web.Foot;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.LongWork;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.brief.BriefLack;
import osmerin.core.brief.Outline;
import osmerin.core.brief.OutlineProposal;
import osmerin.core.brief.TitleAmong;
import osmerin.core.brief.TitleCheck;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.RankingPage;

/** The brief of an article: write it, get evidence for it, sign it off. */
@Controller
@RequestMapping("/{site}/articles/{number}/brief")
class BriefController {
  private final ArticleService articles;
  private final BriefService briefs;
  private final EvidenceService evidence;
  private final BriefEvidence behind;
  private final EvidenceJob job;
  private final ResearchBeside research;
  private final LongWork work;
  private final Lengths lengths;

  BriefController(
      ArticleService articles,
      BriefService briefs,
      EvidenceService evidence,
      BriefEvidence behind,
      EvidenceJob job,
      ResearchBeside research,
      LongWork work,
      Lengths lengths) {
    this.behind = behind;
    this.job = job;
    this.research = research;
    this.work = work;
    this.lengths = lengths;
    this.articles = articles;
    this.briefs = briefs;
    this.evidence = evidence;
  }

  @GetMapping
  @Needs(Right.READ)
  String brief(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round,
      Model model) {
    Round shown = articles.get(site, number.number(), round);
    return page(site, shown, BriefForm.of(briefs.get(site, shown)), model);
  }

  private String page(SiteContext site, Round round, BriefForm form, Model model) {
    Brief stored = briefs.get(site, round);
    model.addAttribute("round", round);
    model.addAttribute("form", form);
    model.addAttribute("sections", form.sections());
    model.addAttribute("stored", stored);
    model.addAttribute("deepest", Outline.DEEPEST);
    Optional<KeptEvidence> kept = behind.of(site, round, stored);
    kept.ifPresent(evidence::look);
    addEvidence(kept, model);
    research.show(site, round, model);
    model.addAttribute("length", lengths.unlessSet(site, round, drawn(model)).orElse(null));
    model.addAttribute("searchConnected", evidence.isSearchConnected());
    addTitle(form, model);
    model.addAttribute("lacks", lacks(site, round, stored, model));
    model.asMap().putIfAbsent("faults", Map.of());
    return "briefs/brief";
  }

  @PostMapping
  @Needs(Right.WORK)
  String save(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      BriefForm form,
      RedirectAttributes to,
      Model model,
      HttpServletResponse response) {
    Round round = articles.get(site, number.number());
    Map<String, String> faults = form.faults();
    if (!faults.isEmpty()) {
      response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
      model.addAttribute("faults", faults);
      return page(site, round, form, model);
    }
    Saved saved = briefs.save(site, round, form.brief(round.id()));
    if (saved instanceof Saved.Conflict conflict) {
      response.setStatus(HttpStatus.CONFLICT.value());
      model.addAttribute("conflict", conflict);
      return page(site, round, form.over(conflict.theirs().version()), model);
    }
    Foot.say(to, "The brief of " + round.reference() + " is saved.");
    return back(site, round);
  }

  @PostMapping("/sign-off")
  @Needs(Right.EDIT)
  String signOff(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam int version,
      RedirectAttributes to) {
    Round round = articles.get(site, number.number());
    briefs.signOff(site, round, version);
    Foot.say(to, "The brief of " + round.reference() + " is signed off.");
    return back(site, round);
  }

  @PostMapping("/evidence")
  @Needs(Right.WORK)
  String fetch(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      Model model,
      HttpServletResponse response) {
    Round round = articles.get(site, number.number());
    WorkRights.requireWork(site, round);
    Long group = round.article().groupId();
    try {
      if (group == null) {
        throw new RefusedException(
            "This article answers no keyword group yet. Choose one on the article's page first.");
      }
      return "redirect:" + work.awaited(site, job.order(site, List.of(group), path(site, round)));
    } catch (RefusedException e) {
      response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
      model.addAttribute("searchFault", e.getMessage());
      return page(site, round, BriefForm.of(briefs.get(site, round)), model);
    }
  }

  /** The outline as it is typed, with what evidence adds to it; nothing is saved. */
  @PostMapping("/outline")
  @Needs(Right.WORK)
  String propose(
      SiteContext site, @PathVariable ReferenceNumber number, BriefForm form, Model model) {
    Round round = articles.get(site, number.number());
    WorkRights.requireWork(site, round);
    form.faults().values().stream()
        .findFirst()
        .ifPresent(
            fault -> {
              throw new RefusedException(fault);
            });
    PagesSay say =
        behind
            .of(site, round, briefs.get(site, round))
            .map(KeptEvidence::say)
            .orElse(PagesSay.NOTHING);
    Outline typed = form.outline();
    Outline proposed = OutlineProposal.of(typed, say);
    model.addAttribute("sections", proposed.sections());
    model.addAttribute("added", proposed.sections().size() - typed.sections().size());
    model.addAttribute("deepest", Outline.DEEPEST);
    return "briefs/outline :: outline";
  }

  /** The title check alone, while somebody types. */
  @PostMapping("/title")
  @Needs(Right.WORK)
  String title(
      SiteContext site, @PathVariable ReferenceNumber number, BriefForm form, Model model) {
    Round round = articles.get(site, number.number());
    addEvidence(behind.of(site, round, briefs.get(site, round)), model);
    addTitle(form, model);
    return "briefs/title-check :: check";
  }

  private static void addTitle(BriefForm form, Model model) {
    String title = form.workingTitle() == null ? "" : form.workingTitle();
    String keyword = form.primaryKeyword() == null ? "" : form.primaryKeyword();
    Outline outline = form.faults().isEmpty() ? form.outline() : Outline.NONE;
    Evidence drawn = drawn(model);
    model.addAttribute("title", TitleCheck.of(title, keyword));
    model.addAttribute(
        "among",
        TitleAmong.of(
            title,
            drawn.pages().stream().map(RankingPage::title).toList(),
            drawn.terms(),
            outline));
  }

  private static void addEvidence(Optional<KeptEvidence> kept, Model model) {
    model.addAttribute("evidence", kept.orElse(null));
  }

  /** What the brief lacks as it was saved. */
  private List<BriefLack> lacks(SiteContext site, Round round, Brief stored, Model model) {
    List<String> questions =
        model.getAttribute("evidence") instanceof KeptEvidence kept
            ? kept.say().questions()
            : List.of();
    return BriefLack.of(
        new BriefLack.Written(
            stored.workingTitle(),
            stored.primaryKeyword(),
            stored.reader(),
            stored.angle(),
            lengths.of(site, round, stored, drawn(model)),
            stored.outline()),
        questions);
  }

  private static Evidence drawn(Model model) {
    return model.getAttribute("evidence") instanceof KeptEvidence kept
        ? kept.evidence()
        : Evidence.NONE;
  }

  private static String back(SiteContext site, Round round) {
    return "redirect:" + path(site, round);
  }

  private static String path(SiteContext site, Round round) {
    return site.base() + "/articles/" + round.reference() + "/brief";
  }
}
