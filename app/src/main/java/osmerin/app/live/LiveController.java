package osmerin.app.live;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Impossible;
import osmerin.app.articles.Publishing;
import osmerin.app.articles.Round;
import osmerin.app.live.PublishService.Outcome;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.Foot;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.Paging;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Kind;
import osmerin.core.article.ReferenceNumber;

/** What is live, publishing, and opening a refresh. */
@Controller
@RequestMapping("/{site}")
class LiveController {
  private static final int PAGE = 50;

  private final ArticleService articles;
  private final PublishService publishing;
  private final Publishing attempts;
  private final RefreshService refreshing;

  LiveController(
      ArticleService articles,
      PublishService publishing,
      Publishing attempts,
      RefreshService refreshing) {
    this.articles = articles;
    this.publishing = publishing;
    this.attempts = attempts;
    this.refreshing = refreshing;
  }

  @GetMapping("/live")
  @Needs(Right.READ)
  String ledger(SiteContext site, @RequestParam(defaultValue = "1") int page, Model model) {
    Paging paging = new Paging(page, PAGE, articles.tally(site.siteId()).live());
    model.addAttribute("rounds", articles.live(site, paging.offset(), PAGE));
    model.addAttribute("paging", paging);
    model.addAttribute("today", site.today());
    return "live/ledger";
  }

  @PostMapping("/articles/{number}/publish")
  @Needs(Right.EDIT)
  String publish(SiteContext site, @PathVariable ReferenceNumber number, RedirectAttributes to) {
    Outcome outcome = publishing.publish(site, number.number());
    Foot.say(
        to,
        outcome instanceof Outcome.Failed failed
            ? number + " was not published. " + failed.reason() + " It stays Ready; try again."
            : number + " is live.");
    return back(site, number);
  }

  /** The hour at which it is published by itself, or by hand. */
  @PostMapping("/articles/{number}/hour")
  @Needs(Right.EDIT)
  String hour(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.TIME)
          @Nullable LocalTime seen,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.TIME)
          @Nullable LocalTime hour,
      RedirectAttributes to) {
    attempts.setHour(site, number.number(), seen, hour);
    Foot.say(
        to,
        hour == null
            ? number + " is published by hand."
            : number + " publishes itself at " + hour + " on its publish date, once it is Ready.");
    return back(site, number);
  }

  @PostMapping("/articles/{number}/published-elsewhere")
  @Needs(Right.EDIT)
  String publishedElsewhere(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String address,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
          @Nullable LocalDate day,
      RedirectAttributes to) {
    LocalDate since = day == null ? site.today() : day;
    attempts.wasPublishedElsewhere(site, number.number(), address, since);
    Foot.say(to, number + " is live, published elsewhere.");
    return back(site, number);
  }

  @PostMapping("/articles/{number}/live-address")
  @Needs(Right.EDIT)
  String liveAddress(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String address,
      RedirectAttributes to) {
    attempts.setLiveAddress(site, number.number(), address);
    Foot.say(to, "The address of " + number + " is set.");
    return back(site, number);
  }

  private static void ask(Impossible impossible) {
    throw new AskException(
        "It cannot be published on %s, because there is no time for these steps. The earliest possible date is %s."
            .formatted(In.day(impossible.wanted()), In.day(impossible.earliest())),
        impossible.deciding(),
        "Keep " + In.day(impossible.wanted()) + " anyway",
        new AskException.Instead(
            "Use " + In.day(impossible.earliest()),
            Map.of("date", impossible.earliest().toString())));
  }

  @PostMapping("/articles/{number}/refresh")
  @Needs(Right.COMMISSION)
  String refresh(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam long depth,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
          @Nullable LocalDate date,
      @RequestParam(defaultValue = "false") boolean anyway,
      RedirectAttributes to) {
    if (!anyway) {
      articles.impossible(site, Kind.REFRESH, depth, date).ifPresent(LiveController::ask);
    }
    Round round = refreshing.begin(site, number.number(), depth, date);
    String when = date == null ? "" : ", to be published on " + In.day(date);
    Foot.say(
        to,
        "Round "
            + round.ordinal()
            + " of "
            + number
            + " is open: a "
            + round.typeName().toLowerCase(Locale.ROOT)
            + when
            + ".");
    return back(site, number);
  }

  private static String back(SiteContext site, ReferenceNumber number) {
    return "redirect:/" + site.site().slug() + "/articles/" + number;
  }
}
