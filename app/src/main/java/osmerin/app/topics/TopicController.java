package osmerin.app.topics;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupLists;
import osmerin.app.groups.GroupOrder;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.Paging;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.topics.TopicService.Overview;
import osmerin.app.topics.TopicService.TopicPage;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;

/** Topics as a table and one by one, and the groups that are in none. */
@Controller
@RequestMapping("/{site}/research")
class TopicController {
  private static final int PAGE = 100;

  private final TopicService topics;
  private final GroupLists groups;
  private final History history;

  TopicController(TopicService topics, GroupLists groups, History history) {
    this.topics = topics;
    this.groups = groups;
    this.history = history;
  }

  /** All topics as a table. */
  @GetMapping("/table")
  @Needs(Right.READ)
  String table(SiteContext site, @RequestParam(defaultValue = "1") int page, Model model) {
    Overview overview = topics.overview(site);
    Paging paging = new Paging(page, PAGE, overview.topics().size());
    model.addAttribute("overview", overview);
    model.addAttribute("topics", paging.of(overview.topics()));
    model.addAttribute("paging", paging);
    return "topics/table";
  }

  /** Groups that belong to no topic. */
  @GetMapping("/no-topic")
  @Needs(Right.READ)
  String noTopic(SiteContext site, @RequestParam(defaultValue = "1") int page, Model model) {
    List<Group> its = groups.withoutTopic(site);
    Paging paging = new Paging(page, PAGE, its.size());
    model.addAttribute("groups", paging.of(its));
    model.addAttribute("paging", paging);
    model.addAttribute("topics", topics.topicNames(site));
    return "topics/no-topic";
  }

  /** What is sent to {@link #topic}. */
  record TopicForm(
      @RequestParam(required = false) @Nullable String sort,
      @RequestParam(required = false) @Nullable String several,
      @RequestParam(defaultValue = "1") int page) {}

  @GetMapping("/topics/{id}")
  @Needs(Right.READ)
  String topic(SiteContext site, @PathVariable long id, TopicForm form, Model model) {
    GroupOrder order = GroupOrder.of(form.sort());
    boolean severalOnly = form.several() != null;
    TopicPage topic = topics.topic(site, id, order);
    List<Group> shown =
        severalOnly
            ? topic.groups().stream().filter(group -> group.row().keywords() > 1).toList()
            : topic.groups();
    model.addAttribute("several", severalOnly);
    model.addAttribute(
        "singles", topic.groups().stream().filter(g -> g.row().keywords() == 1).count());
    model.addAttribute("order", order);
    model.addAttribute("siteStrength", topic.siteStrength());
    Paging paging = new Paging(form.page(), PAGE, shown.size());
    model.addAttribute("summary", topic.summary());
    model.addAttribute("topic", topic);
    model.addAttribute("topics", topics.topicNames(site));
    model.addAttribute("intents", SearchIntent.values());
    model.addAttribute("stages", FunnelStage.values());
    model.addAttribute("history", history.entries(site, Asked.of(Thing.TOPIC, id), 0, 10));
    model.addAttribute("groups", paging.of(shown));
    model.addAttribute("paging", paging);
    return "topics/topic";
  }
}
