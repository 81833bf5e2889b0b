package osmerin.app.guests;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.runup.StepRole;

/** The guests of an article: asking them, their links, and what they handed in. */
@Controller
@RequestMapping("/{site}/articles/{number}/guests")
class GuestController {
  private final Guests guests;

  GuestController(Guests guests) {
    this.guests = guests;
  }

  /** What is sent to {@link #ask}. */
  record AskForm(
      @RequestParam String name, @RequestParam String mail, @RequestParam StepRole role) {}

  @PostMapping
  @Needs(Right.EDIT)
  String ask(SiteContext site, @PathVariable ReferenceNumber number, AskForm form, Reply reply) {
    guests.ask(site, number.number(), form.name(), form.mail(), form.role());
    reply.say(form.name().strip() + " is asked, and has a link by mail.");
    return back(site, number);
  }

  @PostMapping("/{id}/send")
  @Needs(Right.EDIT)
  String send(
      SiteContext site, @PathVariable ReferenceNumber number, @PathVariable long id, Reply reply) {
    guests.send(site, number.number(), id);
    reply.say("The link is on its way by mail.");
    return back(site, number);
  }

  @PostMapping("/{id}/brief")
  @Needs(Right.EDIT)
  String brief(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable long id,
      @RequestParam(defaultValue = "false") boolean shown,
      Reply reply) {
    guests.showBrief(site, number.number(), id, shown);
    reply.say(shown ? "The link shows the brief now." : "The link shows no brief.");
    return back(site, number);
  }

  @PostMapping("/{id}/revoke")
  @Needs(Right.EDIT)
  String revoke(
      SiteContext site, @PathVariable ReferenceNumber number, @PathVariable long id, Reply reply) {
    guests.revoke(site, number.number(), id);
    reply.say("The link no longer works.");
    return back(site, number);
  }

  /** Never shown within the page, whatever is in it. */
  @GetMapping("/files/{id}")
  @Needs(Right.READ)
  ResponseEntity<byte[]> file(
      SiteContext site, @PathVariable ReferenceNumber number, @PathVariable long id) {
    GuestMapper.StoredFile file = guests.file(site, number.number(), id);
    String disposition =
        ContentDisposition.attachment()
            .filename(file.name(), StandardCharsets.UTF_8)
            .build()
            .toString();
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .header(HttpHeaders.CONTENT_DISPOSITION, disposition)
        .body(file.content());
  }

  private static String back(SiteContext site, ReferenceNumber number) {
    return "redirect:" + site.base() + "/articles/" + number;
  }
}
