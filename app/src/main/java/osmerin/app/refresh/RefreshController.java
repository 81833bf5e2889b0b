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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.Foot;
import osmerin.app.platform.web.In;
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

  @PostMapping("/refresh")
  @Needs(Right.COMMISSION)
  String refresh(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam long depth,
      @RequestParam(required = false) @Nullable LocalDate date,
      @RequestParam(defaultValue = "false") boolean anyway,
      RedirectAttributes to) {
    if (!anyway) {
      articles.impossible(site, number.number(), depth, date).ifPresent(RefreshController::ask);
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
