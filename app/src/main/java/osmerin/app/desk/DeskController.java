package osmerin.app.desk;

import java.time.YearMonth;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import osmerin.app.plan.MonthService;
import osmerin.app.research.ResearchService;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** A person's own page. */
@Controller
class DeskController {
  private final DeskService desks;
  private final MonthService months;
  private final ResearchService research;

  DeskController(DeskService desks, MonthService months, ResearchService research) {
    this.research = research;
    this.desks = desks;
    this.months = months;
  }

  @GetMapping("/{site}/desk")
  @Needs(Right.READ)
  String desk(SiteContext site, Model model) {
    YearMonth now = YearMonth.from(site.today());
    model.addAttribute("desk", desks.desk(site, months.month(site, now)));
    model.addAttribute("focus", research.inFocus(site));
    return "desk/desk";
  }
}
