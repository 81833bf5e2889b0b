package osmerin.app.team;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
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
  String ask(@PathVariable String token, Model model, HttpServletResponse response) {
    MailChange change = mails.ofLink(token).orElse(null);
    if (change == null) {
      response.setStatus(HttpStatus.NOT_FOUND.value());
    }
    model.addAttribute("mail", change == null ? null : change.mail());
    model.addAttribute("token", token);
    return "team/mail";
  }

  @PostMapping("/mail/{token}")
  @Needs(Right.ANYBODY)
  String confirm(@PathVariable String token, Model model, HttpServletResponse response) {
    try {
      model.addAttribute("confirmed", mails.confirm(token));
      return "team/mail";
    } catch (NotFoundException e) {
      return ask(token, model, response);
    } catch (RefusedException e) {
      response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
      model.addAttribute("fault", e.getMessage());
      return "team/mail";
    }
  }
}
