package osmerin.app.ledger;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.YearMonth;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.InitBinder;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestMapping;
import osmerin.app.platform.web.LenientNumber;
import osmerin.app.platform.web.Paging;
import osmerin.app.rounds.BesideLedger;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.app.views.Ledger;
import osmerin.app.views.View;
import osmerin.app.views.Views;
import osmerin.core.article.Kind;
import osmerin.core.article.Phase;
import osmerin.core.runup.StepRole;

/** The page of the articles ledger. */
@Controller
@RequestMapping("/{site}/articles")
class LedgerController {
  private static final String LAST_LEDGER = "articles ledger";

  private final ArticleLedger ledger;
  private final ArticleTypeService types;
  private final TeamService team;
  private final List<BesideLedger> beside;
  private final Views views;

  LedgerController(
      ArticleLedger ledger,
      ArticleTypeService types,
      TeamService team,
      List<BesideLedger> beside,
      Views views) {
    this.ledger = ledger;
    this.types = types;
    this.team = team;
    this.beside = beside;
    this.views = views;
  }

  /** Nonsense in the address counts as nothing asked. */
  @InitBinder("articleFilter")
  void lenientNumbers(WebDataBinder binder) {
    binder.registerCustomEditor(Long.class, new LenientNumber<>(Long::valueOf));
    binder.registerCustomEditor(Integer.class, new LenientNumber<>(Integer::valueOf));
  }

  /**
   * The ledger. Asked for without a filter, it is shown as it was last looked at, or as it is to
   * open.
   */
  @GetMapping
  @Needs(Right.READ)
  String ledger(
      SiteContext site,
      @ModelAttribute ArticleFilter filter,
      HttpServletRequest request,
      HttpSession session,
      Model model) {
    String remembered = (String) session.getAttribute(LAST_LEDGER + site.siteId());
    if (request.getQueryString() == null && remembered == null) {
      remembered = views.first(site, Ledger.ARTICLES).map(View::query).orElse(null);
    }
    if (request.getQueryString() == null && remembered != null) {
      return "redirect:" + site.base() + "/articles?" + remembered;
    }
    model.addAttribute("views", views.list(site, Ledger.ARTICLES));
    model.addAttribute("query", request.getQueryString());
    session.setAttribute(
        LAST_LEDGER + site.siteId(),
        filter.isAnything() || filter.sort() != null ? request.getQueryString() : null);
    LedgerPage page = ledger.page(site, filter);
    model.addAttribute("ledger", page);
    List<Round> shown = page.rows().stream().map(PlannedRound::round).toList();
    beside.forEach(part -> part.show(site, shown, model));
    model.addAttribute("strategist", StepRole.STRATEGIST);
    model.addAttribute("editor", StepRole.EDITOR);
    model.addAttribute("turns", ArticleFilter.Turn.values());
    model.addAttribute("stepNames", types.stepNames(site.siteId()));
    model.addAttribute("filter", filter);
    model.addAttribute("path", site.base() + "/articles");
    model.addAttribute("people", team.people(site.siteId()));
    model.addAttribute("names", team.names(site.siteId()));
    model.addAttribute("phases", Phase.values());
    List<ArticleType> newTypes = types.list(site.siteId(), Kind.NEW);
    List<ArticleType> depths = types.list(site.siteId(), Kind.REFRESH);
    model.addAttribute("newTypes", newTypes);
    model.addAttribute("depths", depths);
    model.addAttribute("kinds", Kind.values());
    model.addAttribute("typesOf", Map.of(Kind.NEW, newTypes, Kind.REFRESH, depths));
    model.addAttribute("spans", ArticleFilter.Span.values());
    model.addAttribute("sizes", Paging.SIZES);
    model.addAttribute("today", site.today());
    YearMonth now = YearMonth.from(site.today());
    model.addAttribute("months", IntStream.rangeClosed(-12, 6).mapToObj(now::plusMonths).toList());
    return "ledger/ledger";
  }
}
