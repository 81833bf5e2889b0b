package osmerin.app.research;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.research.ResearchService.ByYield;
import osmerin.app.research.ResearchService.Overview;
import osmerin.app.research.ResearchService.TopicPage;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.SiteStrength;
import osmerin.app.worth.StrengthService;
import osmerin.core.intent.SearchIntent;

/** The pictures of research. */
@Controller
@RequestMapping("/{site}/research")
class LandscapeController {
  private final ResearchService research;
  private final LandscapeService landscape;
  private final StrengthService siteStrength;

  LandscapeController(
      ResearchService research, LandscapeService landscape, StrengthService siteStrength) {
    this.research = research;
    this.landscape = landscape;
    this.siteStrength = siteStrength;
  }

  /** All topics, or the groups of one. */
  @GetMapping
  @Needs(Right.READ)
  String landscape(
      SiteContext site, @RequestParam(required = false) @Nullable String topic, Model model) {
    Long zoomed = KeywordFilter.number(topic);
    if (zoomed == null) {
      Overview overview = research.overview(site);
      model.addAttribute("overview", overview);
      model.addAttribute("picture", landscape.topics(overview.topics()));
      return "research/landscape";
    }
    TopicPage page = research.topic(site, zoomed, GroupOrder.DEMAND);
    model.addAttribute("topic", page);
    model.addAttribute("summary", page.summary());
    model.addAttribute("picture", landscape.groups(page.groups()));
    return "research/landscape-topic";
  }

  /** Difficulty against demand, with what the site can siteStrength. */
  @GetMapping("/plot")
  @Needs(Right.READ)
  String plot(
      SiteContext site,
      @RequestParam(required = false) @Nullable String topic,
      @RequestParam(required = false) @Nullable String intent,
      @RequestParam(required = false) @Nullable String open,
      Model model) {
    Among among = new Among(KeywordFilter.number(topic), intent(intent), open != null);
    SiteStrength now = siteStrength.get(site);
    ByYield groups = research.byYield(site, among, LandscapeService.MOST_MARKS);
    model.addAttribute("plot", landscape.plot(groups, now));
    model.addAttribute("unknown", groups.unknown());
    model.addAttribute("siteStrength", now);
    model.addAttribute("topics", research.topicNames(site));
    model.addAttribute("intents", SearchIntent.values());
    model.addAttribute("among", among);
    return "research/plot";
  }

  private static @Nullable SearchIntent intent(@Nullable String typed) {
    for (SearchIntent intent : SearchIntent.values()) {
      if (intent.name().equals(typed)) {
        return intent;
      }
    }
    return null;
  }
}
