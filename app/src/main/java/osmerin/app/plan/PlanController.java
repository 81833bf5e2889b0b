package osmerin.app.plan;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import java.util.Optional;
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
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.DateChange;
import osmerin.app.articles.PublishDates;
import osmerin.app.brand.BrandSheets;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.team.TeamService;
import osmerin.core.article.ReferenceNumber;

/** The month, its targets, and the calendar. */
@Controller
@RequestMapping("/{site}/plan")
class PlanController {
  private static final int HISTORY_SHOWN = 5;

  private final BrandSheets brand;
  private final MonthService months;
  private final ArticleService articles;
  private final PublishDates publishDates;
  private final History history;
  private final DraftService drafts;
  private final SiteService sites;
  private final TeamService team;

  PlanController(
      MonthService months,
      ArticleService articles,
      PublishDates publishDates,
      History history,
      DraftService drafts,
      SiteService sites,
      TeamService team,
      BrandSheets brand) {
    this.brand = brand;
    this.months = months;
    this.articles = articles;
    this.publishDates = publishDates;
    this.history = history;
    this.drafts = drafts;
    this.sites = sites;
    this.team = team;
  }

  @GetMapping
  @Needs(Right.READ)
  String now(SiteContext site) {
    return "redirect:/" + site.site().slug() + "/plan/" + YearMonth.from(site.today());
  }

  @GetMapping("/{month:\\d{4}-\\d{2}}")
  @Needs(Right.READ)
  String month(SiteContext site, @PathVariable String month, Model model) {
    return month(site, parsed(month), model);
  }

  private String month(SiteContext site, YearMonth month, Model model) {
    Month shown = months.month(site, month);
    model.addAttribute("month", shown);
    model.addAttribute("purpose", brand.get(site).purpose());
    model.addAttribute("newMeter", Meter.of(shown.newArticles()));
    model.addAttribute("newWords", PaceWords.of(shown.newArticles()));
    model.addAttribute("refreshMeter", Meter.of(shown.refreshes()));
    model.addAttribute("refreshWords", PaceWords.of(shown.refreshes()));
    model.addAttribute(
        "history", history.entries(site, Asked.of(Thing.MONTH, month), 0, HISTORY_SHOWN));
    addUndated(site, model);
    addInitials(site, model);
    return "plan/month";
  }

  /** What is sent to {@link #targets}. */
  record TargetsForm(
      @RequestParam String newArticles,
      @RequestParam String refreshes,
      @RequestParam(required = false) @Nullable Integer seenNew,
      @RequestParam(required = false) @Nullable Integer seenRefreshes) {}

  @PostMapping("/{month:\\d{4}-\\d{2}}/targets")
  @Needs(Right.TARGETS)
  String targets(SiteContext site, @PathVariable String month, TargetsForm form, Reply reply) {
    YearMonth of = parsed(month);
    try {
      Targets seen =
          form.seenNew() == null || form.seenRefreshes() == null
              ? null
              : new Targets(form.seenNew(), form.seenRefreshes());
      months.setTargets(
          site, of, seen, new Targets(number(form.newArticles()), number(form.refreshes())));
    } catch (RefusedException e) {
      reply.refuse(e);
      reply.with("typedNew", form.newArticles());
      reply.with("typedRefreshes", form.refreshes());
      return month(site, of, reply.model());
    }
    reply.say("The targets of " + In.month(of, site.today()) + " are set.");
    return "redirect:/" + site.site().slug() + "/plan/" + of;
  }

  private static int number(String typed) {
    String digits = typed.strip();
    return digits.matches("\\d{1,6}") ? Integer.parseInt(digits) : -1;
  }

  @GetMapping("/{month:\\d{4}-\\d{2}}/calendar")
  @Needs(Right.READ)
  String calendar(SiteContext site, @PathVariable String month, Model model) {
    return calendar(site, parsed(month), model);
  }

  private String calendar(SiteContext site, YearMonth month, Model model) {
    List<PlannedRound> rounds =
        articles.inDays(site, CalendarMonth.firstDay(month), CalendarMonth.lastDay(month));
    var calendar = sites.calendar(site.site());
    model.addAttribute("calendar", CalendarMonth.of(month, rounds, site.today(), calendar));
    addUndated(site, model);
    addInitials(site, model);
    model.addAttribute("names", team.names(site.siteId()));
    return "plan/calendar";
  }

  /** What is sent to {@link #move}. */
  record MoveForm(
      @RequestParam ReferenceNumber number,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
          @Nullable LocalDate from,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
          @Nullable LocalDate date,
      @RequestParam(defaultValue = "false") boolean allTheSame) {}

  /** A slip was moved to another day, or to no day. */
  @PostMapping("/{month:\\d{4}-\\d{2}}/calendar")
  @Needs(Right.EDIT)
  String move(SiteContext site, @PathVariable String month, MoveForm form, Reply reply) {
    try {
      DateChange change =
          publishDates.setPublishDate(
              site, form.number().number(), form.from(), form.date(), form.allTheSame());
      if (change instanceof DateChange.Refused impossible) {
        reply.with("impossible", impossible);
        reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
        return calendar(site, parsed(month), reply.model());
      }
    } catch (RefusedException e) {
      reply.refuse(e);
      return calendar(site, parsed(month), reply.model());
    }
    reply.next("moved", form.number().toString());
    reply.say(
        form.date() == null
            ? form.number() + " has no date now."
            : form.number()
                + " moved to "
                + In.day(form.date())
                + ". What is not done moved with it.");
    return "redirect:/" + site.site().slug() + "/plan/" + month + "/calendar";
  }

  private void addUndated(SiteContext site, Model model) {
    List<PlannedRound> undated =
        articles.open(site).stream().filter(p -> p.round().publishDate() == null).toList();
    model.addAttribute("undated", undated);
    model.addAttribute("words", drafts.words(undated.stream().map(PlannedRound::round).toList()));
  }

  private void addInitials(SiteContext site, Model model) {
    model.addAttribute("initials", team.initials(site.siteId()));
  }

  private static YearMonth parsed(String month) {
    return Optional.of(month)
        .map(
            text -> {
              try {
                return YearMonth.parse(text);
              } catch (DateTimeException e) {
                return null;
              }
            })
        .filter(m -> m.getYear() > 1999 && m.getYear() < 2200)
        .orElseThrow(() -> new NotFoundException("month", month));
  }
}
