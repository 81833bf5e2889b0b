package osmerin.app.tasks;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.platform.web.Foot;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** Tasks on the desk. */
@Controller
@RequestMapping("/{site}/tasks")
class TaskController {
  private final Tasks tasks;

  TaskController(Tasks tasks) {
    this.tasks = tasks;
  }

  @PostMapping
  @Needs(Right.WORK)
  String add(
      SiteContext site,
      @RequestParam String name,
      @RequestParam(required = false) @Nullable Long person,
      @RequestParam(defaultValue = "") String hours,
      @RequestParam(required = false) @Nullable LocalDate day,
      RedirectAttributes to) {
    long whose = person == null ? site.personId() : person;
    tasks.add(site, name, whose, hours, day);
    Foot.say(
        to, whose == site.personId() ? "The task is on your desk." : "The task is on their desk.");
    return back(site);
  }

  @PostMapping("/{id}")
  @Needs(Right.WORK)
  String tick(
      SiteContext site, @PathVariable long id, @RequestParam boolean done, RedirectAttributes to) {
    tasks.tick(site, id, done);
    Foot.say(to, done ? "Done." : "Open again.");
    return back(site);
  }

  @PostMapping("/{id}/remove")
  @Needs(Right.WORK)
  String remove(SiteContext site, @PathVariable long id, RedirectAttributes to) {
    tasks.remove(site, id);
    Foot.say(to, "The task is off the desk.");
    return back(site);
  }

  private static String back(SiteContext site) {
    return "redirect:" + site.base() + "/desk";
  }
}
