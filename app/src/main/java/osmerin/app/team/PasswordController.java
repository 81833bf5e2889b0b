package osmerin.app.team;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.Executor;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.security.AskGuard;
import osmerin.app.platform.security.TooOften;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;

/** A forgotten password: asking for a link, and choosing a new one with it. */
@Controller
class PasswordController {
  private final AccountService accounts;
  private final AskGuard guard;
  private final Post post;
  private final Executor beside;

  PasswordController(
      AccountService accounts,
      AskGuard guard,
      Post post,
      @Qualifier("applicationTaskExecutor") Executor beside) {
    this.accounts = accounts;
    this.guard = guard;
    this.post = post;
    this.beside = beside;
  }

  @GetMapping("/forgotten")
  @Needs(Right.ANYBODY)
  String forgotten(Model model) {
    model.addAttribute("mailConnected", post.isConnected());
    model.addAttribute("mailPages", post.simulatedAt());
    return "team/forgotten";
  }

  @PostMapping("/forgotten")
  @Needs(Right.ANYBODY)
  String send(@RequestParam String login, Reply reply, HttpServletRequest request) {
    Optional<Duration> wait = guard.askForLinkFrom(request.getRemoteAddr());
    if (wait.isPresent()) {
      reply.with("wait", TooOften.say(reply.response(), wait.get()));
      return forgotten(reply.model());
    }
    // Beside this request, so that it takes the same time whether there is such a person or not.
    beside.execute(() -> sendLink(login));
    reply.with("sent", true);
    return forgotten(reply.model());
  }

  private void sendLink(String login) {
    if (guard.mayHaveLink(login)) {
      accounts.forgotten(login);
    }
  }

  @GetMapping("/password/{token}")
  @Needs(Right.ANYBODY)
  String choose(@PathVariable String token, Reply reply) {
    var person = accounts.ofLink(token);
    if (person.isEmpty()) {
      reply.status(HttpStatus.NOT_FOUND);
    }
    reply.with("person", person.orElse(null));
    reply.with("token", token);
    return "team/password";
  }

  @PostMapping("/password/{token}")
  @Needs(Right.ANYBODY)
  String choose(@PathVariable String token, @RequestParam String password, Reply reply) {
    try {
      accounts.choosePassword(token, password);
      return "redirect:/sign-in?chosen";
    } catch (NotFoundException e) {
      return choose(token, reply);
    } catch (RefusedException e) {
      return choose(token, reply.refuse(e));
    }
  }
}
