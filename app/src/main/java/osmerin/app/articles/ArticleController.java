package osmerin.app.articles;

import jakarta.servlet.http.HttpSession;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.BesideArticle;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.Person;
import osmerin.app.team.TeamService;
import osmerin.core.article.Kind;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.article.Stage;

/** The page of one article. */
@Controller
@RequestMapping("/{site}/articles")
class ArticleController {
  private static final String RUN_UP_AS_TABLE = "run-up as a table";
  private static final int HISTORY_SHOWN = 12;

  private final ArticleService articles;
  private final ArticleTypeService types;
  private final ArticleEdits edits;
  private final StageMoves stageMoves;
  private final PublishDates publishDates;
  private final TeamService team;
  private final History history;
  private final List<BesideArticle> beside;

  ArticleController(
      ArticleService articles,
      ArticleTypeService types,
      ArticleEdits edits,
      StageMoves stageMoves,
      PublishDates publishDates,
      TeamService team,
      History history,
      List<BesideArticle> beside) {
    this.beside = beside;
    this.edits = edits;
    this.stageMoves = stageMoves;
    this.publishDates = publishDates;
    this.history = history;
    this.articles = articles;
    this.types = types;
    this.team = team;
  }

  /** What is sent to {@link #article}. */
  record ArticleForm(
      @RequestParam(required = false) @Nullable Integer round,
      @RequestParam(required = false) @Nullable String as) {}

  @GetMapping("/{number}")
  @Needs(Right.READ)
  String article(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      ArticleForm form,
      HttpSession session,
      Model model) {
    if (form.as() != null) {
      session.setAttribute(RUN_UP_AS_TABLE, form.as().equals("table"));
    }
    model.addAttribute("drawn", !Boolean.TRUE.equals(session.getAttribute(RUN_UP_AS_TABLE)));
    return page(site, articles.page(site, number.number(), form.round()), model);
  }

  private String page(SiteContext site, ArticlePage page, Model model) {
    model.addAttribute("page", page);
    beside.forEach(part -> part.show(site, page.round(), model));
    model.asMap().putIfAbsent("drawn", true);
    List<Person> people = team.people(site.siteId());
    model.addAttribute("people", people);
    model.addAttribute("present", people.stream().map(Person::id).collect(Collectors.toSet()));
    model.addAttribute("names", team.names(site.siteId()));
    model.addAttribute("roles", page.roles());
    model.addAttribute("depths", types.list(site.siteId(), Kind.REFRESH));
    model.addAttribute("types", types.list(site.siteId(), page.round().kind()));
    model.addAttribute(
        "history",
        history.entries(
            site, Asked.of(Thing.ARTICLE, page.round().article().number()), 0, HISTORY_SHOWN));
    return "articles/article";
  }

  @GetMapping("/{number}/drawer")
  @Needs(Right.READ)
  String drawer(SiteContext site, @PathVariable ReferenceNumber number, Model model) {
    page(site, articles.page(site, number.number(), null), model);
    return "articles/drawer";
  }

  @PostMapping("/{number}/title")
  @Needs(Right.EDIT)
  String rename(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String title,
      @RequestParam int seen,
      Reply reply) {
    edits.rename(site, number.number(), title, seen);
    reply.say("Renamed to “" + title.strip() + "”.");
    return back(site, number);
  }

  /** What is sent to {@link #move}. */
  record MoveForm(
      @RequestParam("to") long wanted,
      @RequestParam long seen,
      @RequestParam(defaultValue = "false") boolean anyway) {}

  @PostMapping("/{number}/stage")
  @Needs(Right.WORK)
  String move(SiteContext site, @PathVariable ReferenceNumber number, MoveForm form, Reply reply) {
    Stage now = stageMoves.move(site, number.number(), form.wanted(), form.seen(), form.anyway());
    reply.say(number + " is at " + now.label() + " now.");
    return back(site, number);
  }

  @PostMapping("/{number}/steps/{key}")
  @Needs(Right.WORK)
  String tick(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable String key,
      @RequestParam boolean done,
      Reply reply) {
    edits.tick(site, number.number(), key, done);
    reply.say(done ? "Done." : "Open again.");
    return back(site, number);
  }

  @PostMapping("/{number}/type")
  @Needs(Right.EDIT)
  String type(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam long type,
      Reply reply) {
    edits.setType(site, number.number(), type);
    reply.say("The type of " + number + " was set; what is done stays done.");
    return back(site, number);
  }

  @PostMapping("/{number}/archive")
  @Needs(Right.EDIT)
  String archive(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(defaultValue = "true") boolean away,
      Reply reply) {
    edits.archive(site, number.number(), away);
    reply.say(number + (away ? " is archived." : " is restored."));
    return back(site, number);
  }

  /** What is sent to {@link #publishDate}. */
  record PublishDateForm(
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
          @Nullable LocalDate from,
      @RequestParam(required = false) @Nullable LocalDate date,
      @RequestParam(defaultValue = "false") boolean allTheSame) {}

  @PostMapping("/{number}/publish-date")
  @Needs(Right.EDIT)
  String publishDate(
      SiteContext site, @PathVariable ReferenceNumber number, PublishDateForm form, Reply reply) {
    DateChange change =
        publishDates.setPublishDate(
            site, number.number(), form.from(), form.date(), form.allTheSame());
    if (change instanceof DateChange.Refused impossible) {
      reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
      reply.with("impossible", impossible);
      return page(site, articles.page(site, number.number(), null), reply.model());
    }
    reply.say(
        form.date() == null
            ? number + " has no date now."
            : number
                + " is to be published on "
                + In.day(form.date())
                + ". What is not done moved with it.");
    return back(site, number);
  }

  private static String back(SiteContext site, ReferenceNumber number) {
    return "redirect:" + site.base() + "/articles/" + number;
  }
}
