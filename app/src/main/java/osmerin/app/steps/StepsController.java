package osmerin.app.steps;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticlePage;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.DateFollowers;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Planning;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.StepRole;
import osmerin.core.workday.DayText;

/** The steps of one article, edited; and the drawing of a recipe while somebody types it. */
@Controller
@RequestMapping("/{site}")
class StepsController {
  private final ArticleService articles;
  private final Planning planning;
  private final StepEdits edits;
  private final RealHours realHours;
  private final StepRoles roles;
  private final TeamService team;
  private final List<DateFollowers> followers;

  StepsController(
      ArticleService articles,
      Planning planning,
      StepEdits edits,
      RealHours realHours,
      StepRoles roles,
      TeamService team,
      List<DateFollowers> followers) {
    this.followers = followers;
    this.realHours = realHours;
    this.articles = articles;
    this.planning = planning;
    this.edits = edits;
    this.roles = roles;
    this.team = team;
  }

  @GetMapping("/articles/{number}/recipe")
  @Needs(Right.EDIT)
  String steps(SiteContext site, @PathVariable ReferenceNumber number, Model model) {
    ArticlePage page = articles.page(site, number.number(), null);
    RecipeForm form = RecipeForm.ofArticle(page.planned().steps(), site.today());
    model.addAttribute("seen", edits.seen(page.round()));
    return page(site, page, form, Map.of(), model);
  }

  private String page(
      SiteContext site,
      ArticlePage page,
      RecipeForm form,
      Map<Integer, String> faults,
      Model model) {
    Set<StepRole> known = new LinkedHashSet<>(roles.list(site.siteId()));
    known.addAll(page.roles());
    RecipePage.show(model, form, faults, known);
    model.addAttribute("page", page);
    model.addAttribute("people", team.people(site.siteId()));
    model.addAttribute("names", team.names(site.siteId()));
    return "steps/article";
  }

  @PostMapping("/articles/{number}/recipe")
  @Needs(Right.EDIT)
  String change(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam MultiValueMap<String, String> fields,
      @RequestParam String seen,
      Reply reply) {
    RecipeForm form = RecipeForm.sent(fields);
    Map<Integer, String> faults = new LinkedHashMap<>();
    try {
      faults.putAll(edits.change(site, number.number(), form, seen));
      if (faults.isEmpty()) {
        reply.say("The steps of " + number + " are saved. Due dates follow at once.");
        return back(site, number);
      }
    } catch (RefusedException e) {
      reply.with("fault", e.getMessage());
    }
    reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
    reply.with("seen", seen);
    return page(site, articles.page(site, number.number(), null), form, faults, reply.model());
  }

  /** What another publish date would change, while it is typed; nothing is changed. */
  @GetMapping("/articles/{number}/if")
  @Needs(Right.READ)
  String move(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(defaultValue = "") String date,
      Model model) {
    PlannedRound now = articles.planned(site, number.number());
    DayText.read(date, site.today())
        .filter(day -> !now.round().isLive() && !day.equals(now.round().publishDate()))
        .ifPresent(
            day -> {
              BackPlan then = planning.planner(site.site()).backPlan(now.round(), now.steps(), day);
              model.addAttribute("move", MovePreview.of(now, then, day));
              model.addAttribute(
                  "hanging",
                  followers.stream()
                      .flatMap(f -> f.previewed(site, now.round(), day).stream())
                      .toList());
              model.addAttribute("names", team.names(site.siteId()));
            });
    return "steps/move :: move";
  }

  @PostMapping("/articles/{number}/recipe/as-type")
  @Needs(Right.EDIT)
  String asType(SiteContext site, @PathVariable ReferenceNumber number, Reply reply) {
    edits.asType(site, number.number());
    reply.say(number + " has the steps of its type again. What is done stays done.");
    return back(site, number);
  }

  @PostMapping("/articles/{number}/steps/{key}/hours")
  @Needs(Right.WORK)
  String hours(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable String key,
      @RequestParam(defaultValue = "") String hours,
      Reply reply) {
    realHours.set(site, number.number(), key, hours);
    reply.say("Noted.");
    return back(site, number);
  }

  @PostMapping("/articles/{number}/steps/{key}/claim")
  @Needs(Right.WORK)
  String claim(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable String key,
      Reply reply) {
    edits.claim(site, number.number(), key);
    reply.say("The step is yours.");
    return back(site, number);
  }

  /** The drawing alone, while somebody types. */
  @PostMapping("/recipe/drawn")
  @Needs(Right.EDIT)
  String drawn(SiteContext site, @RequestParam MultiValueMap<String, String> fields, Model model) {
    RecipePage.draw(model, Recipe.read(RecipeForm.sent(fields).recipe(), Set.of()));
    return "steps/recipe :: drawn";
  }

  private static String back(SiteContext site, ReferenceNumber number) {
    return "redirect:" + site.base() + "/articles/" + number;
  }
}
