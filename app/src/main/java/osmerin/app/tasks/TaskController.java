package osmerin.app.tasks;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
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

  /** What is sent to {@link #add}. */
  record AddForm(
      @RequestParam String name,
      @RequestParam(required = false) @Nullable Long person,
      @RequestParam(defaultValue = "") String hours,
      @RequestParam(required = false) @Nullable LocalDate day) {}

  @PostMapping
  @Needs(Right.WORK)
  String add(SiteContext site, AddForm form, Reply reply) {
    long whose = form.person() == null ? site.personId() : form.person();
    tasks.add(site, form.name(), whose, form.hours(), form.day());
    reply.say(
        whose == site.personId() ? "The task is on your desk." : "The task is on their desk.");
    return back(site);
  }

  @PostMapping("/{id}")
  @Needs(Right.WORK)
  String tick(SiteContext site, @PathVariable long id, @RequestParam boolean done, Reply reply) {
    tasks.tick(site, id, done);
    reply.say(done ? "Done." : "Open again.");
    return back(site);
  }

  @PostMapping("/{id}/remove")
  @Needs(Right.WORK)
  String remove(SiteContext site, @PathVariable long id, Reply reply) {
    tasks.remove(site, id);
    reply.say("The task is off the desk.");
    return back(site);
  }

  private static String back(SiteContext site) {
    return "redirect:" + site.base() + "/desk";
  }
}
