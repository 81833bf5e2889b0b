package osmerin.app.desk;

import java.time.YearMonth;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.plan.MonthService;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.tasks.Tasks;
import osmerin.app.team.TeamService;
import osmerin.app.topics.TopicService;

/** A person's own page. */
@Controller
class DeskController {
  private final DeskService desks;
  private final OneByOne oneByOne;
  private final GettingStarted gettingStarted;
  private final MonthService months;
  private final TopicService topics;
  private final Tasks tasks;
  private final TeamService team;

  DeskController(
      DeskService desks,
      OneByOne oneByOne,
      GettingStarted gettingStarted,
      MonthService months,
      TopicService topics,
      Tasks tasks,
      TeamService team) {
    this.tasks = tasks;
    this.team = team;
    this.desks = desks;
    this.oneByOne = oneByOne;
    this.gettingStarted = gettingStarted;
    this.months = months;
    this.topics = topics;
  }

  @GetMapping("/{site}/desk")
  @Needs(Right.READ)
  String desk(SiteContext site, Model model) {
    YearMonth now = YearMonth.from(site.today());
    model.addAttribute("desk", desks.desk(site, months.month(site, now)));
    model.addAttribute("first", gettingStarted.steps(site));
    model.addAttribute("leadTopics", topics.leadTopics(site));
    model.addAttribute("tasks", tasks.open(site));
    model.addAttribute("people", team.people(site.siteId()));
    return "desk/desk";
  }

  /** What waits for the person, one after another. */
  @GetMapping("/{site}/desk/one-by-one")
  @Needs(Right.READ)
  String oneByOne(SiteContext site, @RequestParam(defaultValue = "0") int at, Model model) {
    model.addAttribute("decision", oneByOne.at(site, at).orElse(null));
    return "desk/one-by-one";
  }
}
