package osmerin.app.desk;

import java.time.YearMonth;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import osmerin.app.plan.MonthService;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.topics.TopicService;

/** A person's own page. */
@Controller
class DeskController {
  private final DeskService desks;
  private final MonthService months;
  private final TopicService topics;

  DeskController(DeskService desks, MonthService months, TopicService topics) {
    this.topics = topics;
    this.desks = desks;
    this.months = months;
  }

  @GetMapping("/{site}/desk")
  @Needs(Right.READ)
  String desk(SiteContext site, Model model) {
    YearMonth now = YearMonth.from(site.today());
    model.addAttribute("desk", desks.desk(site, months.month(site, now)));
    model.addAttribute("focus", topics.inFocus(site));
    return "desk/desk";
  }
}
