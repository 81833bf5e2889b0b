package osmerin.app.team;

import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;

/** A mail address confirmed by the link that was sent there. */
@Controller
class MailController {
  private final MailAddresses mails;

  MailController(MailAddresses mails) {
    this.mails = mails;
  }

  /** Asks first: mail programs open links by themselves. */
  @GetMapping("/mail/{token}")
  @Needs(Right.ANYBODY)
  String ask(@PathVariable String token, Reply reply) {
    MailChange change = mails.ofLink(token).orElse(null);
    if (change == null) {
      reply.status(HttpStatus.NOT_FOUND);
    }
    reply.with("mail", change == null ? null : change.mail());
    reply.with("token", token);
    return "team/mail";
  }

  @PostMapping("/mail/{token}")
  @Needs(Right.ANYBODY)
  String confirm(@PathVariable String token, Reply reply) {
    try {
      reply.with("confirmed", mails.confirm(token));
      return "team/mail";
    } catch (NotFoundException e) {
      return ask(token, reply);
    } catch (RefusedException e) {
      reply.refuse(e);
      return "team/mail";
    }
  }
}
