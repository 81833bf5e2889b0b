package osmerin.app.articles;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.platform.web.Foot;
import osmerin.app.platform.web.In;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.article.Kind;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.article.Stage;
import osmerin.core.runup.StepRole;

/** The articles ledger, and the page of one article. */
@Controller
@RequestMapping("/{site}/articles")
class ArticleController {
  private static final String LAST_LEDGER = "articles ledger";

  private final ArticleService articles;
  private final ArticleTypeService types;
  private final TeamService team;

  ArticleController(ArticleService articles, ArticleTypeService types, TeamService team) {
    this.articles = articles;
    this.types = types;
    this.team = team;
  }

  /** The ledger. Asked for without a filter, it is shown as it was last looked at. */
  @GetMapping
  String ledger(
      SiteContext site,
      @ModelAttribute ArticleFilter filter,
      HttpServletRequest request,
      HttpSession session,
      Model model) {
    String remembered = (String) session.getAttribute(LAST_LEDGER + site.siteId());
    if (request.getQueryString() == null && remembered != null) {
      return "redirect:/" + site.site().slug() + "/articles?" + remembered;
    }
    session.setAttribute(
        LAST_LEDGER + site.siteId(),
        filter.isAnything() || filter.sort() != null ? request.getQueryString() : null);
    model.addAttribute("ledger", articles.ledger(site, filter));
    model.addAttribute("filter", filter);
    model.addAttribute("path", "/" + site.site().slug() + "/articles");
    model.addAttribute("people", team.people(site.siteId()));
    model.addAttribute("names", team.names(site.siteId()));
    model.addAttribute("stages", Stage.values());
    model.addAttribute("sizes", ArticleFilter.SIZES);
    model.addAttribute("today", site.today());
    YearMonth now = YearMonth.from(site.today());
    model.addAttribute("months", IntStream.rangeClosed(-12, 6).mapToObj(now::plusMonths).toList());
    return "articles/ledger";
  }

  @GetMapping("/{number}")
  String article(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round,
      Model model) {
    return page(site, articles.page(site, number.number(), round), model);
  }

  private String page(SiteContext site, ArticlePage page, Model model) {
    model.addAttribute("page", page);
    model.addAttribute("people", team.people(site.siteId()));
    model.addAttribute("names", team.names(site.siteId()));
    model.addAttribute("roles", StepRole.values());
    model.addAttribute("depths", types.list(site.siteId(), Kind.REFRESH));
    return "articles/article";
  }

  @PostMapping("/{number}/title")
  String rename(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String title,
      @RequestParam int seen,
      RedirectAttributes to) {
    articles.rename(site, number.number(), title, seen);
    Foot.say(to, "Renamed to “" + title.strip() + "”.");
    return back(site, number);
  }

  @PostMapping("/{number}/people")
  String person(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam StepRole role,
      @RequestParam(required = false) @Nullable Long person,
      RedirectAttributes to) {
    articles.setPerson(site, number.number(), role, person);
    Foot.say(to, "The " + role.name().toLowerCase() + " of " + number + " was set.");
    return back(site, number);
  }

  @PostMapping("/{number}/stage")
  String move(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam boolean forward,
      @RequestParam Stage seen,
      RedirectAttributes to) {
    Stage now = articles.move(site, number.number(), forward, seen);
    Foot.say(to, number + " moved from " + seen.label() + " to " + now.label() + ".");
    return back(site, number);
  }

  @PostMapping("/{number}/steps/{key}")
  String tick(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable String key,
      @RequestParam boolean done) {
    articles.tick(site, number.number(), key, done);
    return back(site, number);
  }

  @PostMapping("/{number}/publish-date")
  String publishDate(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
          @Nullable LocalDate from,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
          @Nullable LocalDate date,
      @RequestParam(defaultValue = "false") boolean allTheSame,
      RedirectAttributes to,
      Model model,
      HttpServletResponse response) {
    DateChange change = articles.setPublishDate(site, number.number(), from, date, allTheSame);
    if (change instanceof DateChange.Impossible impossible) {
      response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
      model.addAttribute("impossible", impossible);
      return page(site, articles.page(site, number.number(), null), model);
    }
    Foot.say(
        to,
        date == null
            ? number + " has no date now."
            : number
                + " is to be published on "
                + In.day(date)
                + ". What is not done moved with it.");
    return back(site, number);
  }

  private static String back(SiteContext site, ReferenceNumber number) {
    return "redirect:/" + site.site().slug() + "/articles/" + number;
  }
}
