package osmerin.app.hours;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import osmerin.app.runups.Steps;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;

/** Hours by type and person of the last year, and what they suggest. */
@Controller
class HoursController {
  private final Steps steps;
  private final TeamService team;

  HoursController(Steps steps, TeamService team) {
    this.steps = steps;
    this.team = team;
  }

  @GetMapping("/{site}/hours")
  @Needs(Right.EDIT)
  String hours(SiteContext site, Model model) {
    HoursReport report =
        HoursReport.of(
            steps.measured(site.siteId(), site.today().minusYears(1)), team.names(site.siteId()));
    model.addAttribute("report", report);
    model.addAttribute("empty", report.isEmpty());
    return "hours/hours";
  }
}
