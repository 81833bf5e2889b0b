package osmerin.app.reminders;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.text.Counted;

/** When a person is reminded of their steps. */
@Controller
@RequestMapping("/{site}/account/reminders")
class ReminderController {
  private final Reminders reminders;

  ReminderController(Reminders reminders) {
    this.reminders = reminders;
  }

  @GetMapping
  @Needs(Right.READ)
  String choice(SiteContext site, Model model) {
    model.addAttribute("days", reminders.daysBefore(site.personId()));
    model.addAttribute("most", Reminders.MOST_DAYS);
    return "reminders/choice";
  }

  @PostMapping
  @Needs(Right.READ)
  String choose(SiteContext site, @RequestParam int days, Reply reply) {
    reminders.setDaysBefore(site.personId(), days);
    reply.say(
        days == 0
            ? "You are reminded on the day a step is due."
            : "You are reminded " + Counted.of(days, "day") + " before a step is due.");
    return "redirect:" + site.base() + "/account/reminders";
  }
}
