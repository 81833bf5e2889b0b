package osmerin.app.team;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.platform.security.SignIns;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;

/** Taking an invitation, with a new account or as the person who is signed in. */
@Controller
class InvitationController {
  private final Invitations invitations;
  private final SignIns signIns;

  InvitationController(Invitations invitations, SignIns signIns) {
    this.signIns = signIns;
    this.invitations = invitations;
  }

  @GetMapping("/invitation/{token}")
  @Needs(Right.ANYBODY)
  String invitation(
      @PathVariable String token, @AuthenticationPrincipal @Nullable SignedIn person, Reply reply) {
    Optional<Invitation> invitation = invitations.find(token);
    if (invitation.isEmpty()) {
      reply.status(HttpStatus.NOT_FOUND);
    }
    reply.with("invitation", invitation.orElse(null));
    reply.with("token", token);
    reply.with("person", person);
    reply.model().asMap().putIfAbsent("faults", Map.of());
    return "team/invitation";
  }

  @PostMapping("/invitation/{token}")
  @Needs(Right.ANYBODY)
  String accept(
      @PathVariable String token,
      @RequestParam String name,
      @RequestParam String password,
      Reply reply,
      HttpServletRequest request) {
    Optional<Invitation> invitation = invitations.find(token);
    Map<String, String> faults =
        invitation.isEmpty()
            ? Map.of("link", "gone")
            : invitations.acceptNew(token, name, password);
    if (faults.isEmpty()) {
      signIns.signIn(invitation.orElseThrow().mail(), request, reply.response());
      return "redirect:/";
    }
    reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
    reply.with("faults", faults);
    reply.with("name", name);
    return invitation(token, null, reply);
  }

  /** Leads to signing in first, when nobody is. */
  @GetMapping("/invitation/{token}/join")
  @Needs(Right.SIGNED_IN)
  String signedIn(@PathVariable String token, RedirectAttributes to) {
    to.addAttribute("token", token);
    return "redirect:/invitation/{token}";
  }

  @PostMapping("/invitation/{token}/join")
  @Needs(Right.SIGNED_IN)
  String join(@PathVariable String token, @AuthenticationPrincipal SignedIn person) {
    return "redirect:/" + invitations.accept(token, person).slug() + "/desk";
  }
}
