package osmerin.app.work;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** How far long work is; the page leads on to what came of it. */
@Controller
class WorkController {
  private final LongWork work;
  private final Clock clock;

  WorkController(LongWork work, Clock clock) {
    this.work = work;
    this.clock = clock;
  }

  @GetMapping("/{site}/work/{id}")
  @Needs(Right.READ)
  String progress(SiteContext site, @PathVariable UUID id, Model model) {
    Work now = work.get(site, id);
    if (now.state() == Work.State.DONE) {
      return "redirect:" + now.path();
    }
    model.addAttribute("work", now);
    model.addAttribute("left", now.secondsLeft(clock.instant()));
    model.addAttribute(
        "seconds",
        Duration.between(
                now.startedAt(), Optional.ofNullable(now.endedAt()).orElse(clock.instant()))
            .toSeconds());
    return "work/progress";
  }

  @PostMapping("/{site}/work/{id}/stop")
  @Needs(Right.READ)
  String stop(SiteContext site, @PathVariable UUID id) {
    work.stop(site, id);
    return "redirect:" + site.base() + "/work/" + id;
  }
}
