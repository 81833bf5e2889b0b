package osmerin.app.topics;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.groups.Among;
import osmerin.app.groups.GroupLists;
import osmerin.app.groups.GroupLists.ByYield;
import osmerin.app.groups.GroupOrder;
import osmerin.app.platform.web.Typed;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.topics.TopicService.Overview;
import osmerin.app.topics.TopicService.TopicPage;
import osmerin.app.worth.SiteStrength;
import osmerin.app.worth.StrengthService;
import osmerin.core.intent.SearchIntent;

/** The pictures of research. */
@Controller
@RequestMapping("/{site}/research")
class LandscapeController {
  private final TopicService topics;
  private final GroupLists groups;
  private final LandscapeService landscape;
  private final StrengthService siteStrength;

  LandscapeController(
      TopicService topics,
      GroupLists groups,
      LandscapeService landscape,
      StrengthService siteStrength) {
    this.topics = topics;
    this.groups = groups;
    this.landscape = landscape;
    this.siteStrength = siteStrength;
  }

  /** All topics, or the groups of one. */
  @GetMapping
  @Needs(Right.READ)
  String landscape(
      SiteContext site, @RequestParam(required = false) @Nullable String topic, Model model) {
    Long zoomed = Typed.number(topic);
    if (zoomed == null) {
      Overview overview = topics.overview(site);
      model.addAttribute("overview", overview);
      model.addAttribute("picture", landscape.topics(overview.topics()));
      return "topics/landscape";
    }
    TopicPage page = topics.topic(site, zoomed, GroupOrder.DEMAND);
    model.addAttribute("topic", page);
    model.addAttribute("summary", page.summary());
    model.addAttribute("picture", landscape.groups(page.groups()));
    return "topics/landscape-topic";
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
    Among among = new Among(Typed.number(topic), intent(intent), open != null);
    SiteStrength now = siteStrength.get(site);
    ByYield shown = groups.byYield(site, among, LandscapeService.MOST_MARKS);
    model.addAttribute("plot", landscape.plot(shown, now));
    model.addAttribute("unknown", shown.unknown());
    model.addAttribute("siteStrength", now);
    model.addAttribute("topics", topics.topicNames(site));
    model.addAttribute("intents", SearchIntent.values());
    model.addAttribute("among", among);
    return "topics/plot";
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
