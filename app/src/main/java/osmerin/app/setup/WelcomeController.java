package osmerin.app.setup;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import osmerin.app.platform.security.AskGuard;
import osmerin.app.platform.security.SignIns;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.security.TooOften;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteService;
import osmerin.core.text.Counted;

/** Where a visit begins: the first one of an installation, and every other. */
@Controller
class WelcomeController {
  private final SetupService setup;
  private final SiteService sites;
  private final SignIns signIns;
  private final AskGuard guard;

  WelcomeController(SetupService setup, SiteService sites, SignIns signIns, AskGuard guard) {
    this.guard = guard;
    this.setup = setup;
    this.sites = sites;
    this.signIns = signIns;
  }

  @GetMapping("/")
  @Needs(Right.SIGNED_IN)
  String home(@AuthenticationPrincipal SignedIn person) {
    return sites
        .lastOf(person.id())
        .or(() -> sites.of(person.id()).stream().findFirst())
        .map(site -> "redirect:/" + site.slug() + "/desk")
        .orElse("no-site");
  }

  @GetMapping("/welcome")
  @Needs(Right.ANYBODY)
  String page(Model model) {
    if (!setup.isNeeded()) {
      return "redirect:/";
    }
    model.addAttribute(
        "answers",
        new SetupService.Answers("", "", "", "", "", "", "", ZoneId.systemDefault().getId()));
    return form(model, Map.of());
  }

  /** Signing in, and setting up while there is nobody who could. */
  @GetMapping("/sign-in")
  @Needs(Right.ANYBODY)
  String signIn() {
    return setup.isNeeded() ? "redirect:/welcome" : "sign-in";
  }

  @PostMapping("/welcome")
  @Needs(Right.ANYBODY)
  String setUp(SetupService.Answers answers, Reply reply, HttpServletRequest request) {
    Optional<Duration> wait = guard.tryCodeFrom(request.getRemoteAddr());
    if (wait.isPresent()) {
      reply.with("answers", answers);
      String seconds = Counted.of(TooOften.say(reply.response(), wait.get()), "second");
      String again = "Too many tries. Try again in " + seconds + ".";
      return form(reply.model(), Map.of("code", again));
    }
    Map<String, String> faults = setup.setUp(answers);
    if (faults.isEmpty()) {
      signIns.signIn(answers.login().strip(), request, reply.response());
      return "redirect:/";
    }
    reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
    reply.with("answers", answers);
    return form(reply.model(), faults);
  }

  private static String form(Model model, Map<String, String> faults) {
    model.addAttribute("faults", faults);
    model.addAttribute("zones", new TreeSet<>(ZoneId.getAvailableZoneIds()));
    return "welcome";
  }
}
