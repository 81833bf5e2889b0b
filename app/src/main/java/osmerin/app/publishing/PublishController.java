package osmerin.app.publishing;

import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
import osmerin.app.publishing.PublishService.Outcome;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** Publishing now, at an hour, or elsewhere. */
@Controller
@RequestMapping("/{site}/articles/{number}")
class PublishController {
  private final PublishService publishing;
  private final Publishing attempts;

  PublishController(PublishService publishing, Publishing attempts) {
    this.publishing = publishing;
    this.attempts = attempts;
  }

  /** What is sent to {@link #publish}. */
  record PublishForm(
      @RequestParam(defaultValue = "false") boolean anyway,
      @RequestParam(required = false) @Nullable String reason,
      @RequestParam(defaultValue = "false") boolean reminded) {}

  @PostMapping("/publish")
  @Needs(Right.EDIT)
  String publish(
      SiteContext site, @PathVariable ReferenceNumber number, PublishForm form, Reply reply) {
    Wish wish = Wish.byHand(form.anyway(), form.reason(), form.reminded());
    Outcome outcome = publishing.publish(site, number.number(), wish);
    reply.say(
        outcome instanceof Outcome.Failed failed
            ? number + " was not published. " + failed.reason() + " It stays Ready; try again."
            : number + " is live.");
    return back(site, number);
  }

  /** The hour at which it is published by itself, or by hand. */
  @PostMapping("/hour")
  @Needs(Right.EDIT)
  String hour(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.TIME)
          @Nullable LocalTime seen,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.TIME)
          @Nullable LocalTime hour,
      Reply reply) {
    attempts.setHour(site, number.number(), seen, hour);
    reply.say(
        hour == null
            ? number + " is published by hand."
            : number + " publishes itself at " + hour + " on its publish date, once it is Ready.");
    return back(site, number);
  }

  @PostMapping("/published-elsewhere")
  @Needs(Right.EDIT)
  String publishedElsewhere(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String address,
      @RequestParam(required = false) @Nullable LocalDate day,
      Reply reply) {
    LocalDate since = day == null ? site.today() : day;
    attempts.wasPublishedElsewhere(site, number.number(), address, since);
    reply.say(number + " is live, published elsewhere.");
    return back(site, number);
  }

  @PostMapping("/live-address")
  @Needs(Right.EDIT)
  String liveAddress(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam String address,
      Reply reply) {
    attempts.setLiveAddress(site, number.number(), address);
    reply.say("The address of " + number + " is set.");
    return back(site, number);
  }

  private static String back(SiteContext site, ReferenceNumber number) {
    return "redirect:/" + site.site().slug() + "/articles/" + number;
  }
}
