package osmerin.app.holds;

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
import osmerin.core.article.ReferenceNumber;

/** Puts an article on hold, and frees it. */
@Controller
@RequestMapping("/{site}/articles/{number}")
class HoldController {
  private final Holds holds;

  HoldController(Holds holds) {
    this.holds = holds;
  }

  /** What is sent to {@link #hold}. */
  record HoldForm(
      @RequestParam String reason,
      @RequestParam(required = false) @Nullable Long freeBy,
      @RequestParam(required = false) @Nullable LocalDate until) {}

  @PostMapping("/hold")
  @Needs(Right.WORK)
  String hold(SiteContext site, @PathVariable ReferenceNumber number, HoldForm form, Reply reply) {
    holds.hold(site, number.number(), form.reason(), form.freeBy(), form.until());
    reply.say(number + " is on hold. It is not late, and not promised to its month.");
    return back(site, number);
  }

  @PostMapping("/free")
  @Needs(Right.WORK)
  String free(SiteContext site, @PathVariable ReferenceNumber number, Reply reply) {
    holds.free(site, number.number());
    reply.say(number + " is no longer on hold.");
    return back(site, number);
  }

  private static String back(SiteContext site, ReferenceNumber number) {
    return "redirect:" + site.base() + "/articles/" + number;
  }
}
