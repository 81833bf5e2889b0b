package osmerin.app.refresh;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.Impossible;
import osmerin.app.rounds.Round;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** Opening a refresh. */
@Controller
@RequestMapping("/{site}/articles/{number}")
class RefreshController {
  private final ArticleService articles;
  private final RefreshService refreshing;

  RefreshController(ArticleService articles, RefreshService refreshing) {
    this.articles = articles;
    this.refreshing = refreshing;
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

  /** What is sent to {@link #refresh}. */
  record RefreshForm(
      @RequestParam long depth,
      @RequestParam(required = false) @Nullable LocalDate date,
      @RequestParam(defaultValue = "false") boolean anyway) {}

  @PostMapping("/refresh")
  @Needs(Right.COMMISSION)
  String refresh(
      SiteContext site, @PathVariable ReferenceNumber number, RefreshForm form, Reply reply) {
    if (!form.anyway()) {
      articles
          .impossible(site, number.number(), form.depth(), form.date())
          .ifPresent(RefreshController::ask);
    }
    Round round = refreshing.begin(site, number.number(), form.depth(), form.date());
    String when = form.date() == null ? "" : ", to be published on " + In.day(form.date());
    reply.say(
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
