package osmerin.app.sharing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import osmerin.app.drafts.OutsideDrafts;
import osmerin.app.platform.security.AskGuard;
import osmerin.app.platform.security.LinkDoor;
import osmerin.app.platform.security.TooOften;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;

/** The page that the link to a brief opens, and what can be done on it. */
@Controller
@RequestMapping("/by-link/brief/{token}")
class SharedBriefController {
  private final SharedBrief shared;
  private final LinkDoor door;
  private final AskGuard guard;

  SharedBriefController(SharedBrief shared, LinkDoor door, AskGuard guard) {
    this.door = door;
    this.shared = shared;
    this.guard = guard;
  }

  @GetMapping
  @Needs(Right.BY_LINK)
  String open(@PathVariable String token, HttpServletRequest request, Reply reply) {
    working(token, request, reply).ifPresent(link -> reply.with("opened", shared.open(link)));
    return "sharing/brief";
  }

  /** The link where it works; otherwise the page says why it does not. */
  private Optional<BriefLink> working(String token, HttpServletRequest request, Reply reply) {
    reply.with("token", token);
    Optional<BriefLink> link = shared.find(token);
    Optional<String> gone = door.shut(shared.state(link), request, reply.response());
    reply.with("gone", gone.orElse(null));
    return gone.isPresent() ? Optional.empty() : link;
  }

  /** Checks a draft, or hands it in; what was typed is shown again in any case. */
  @PostMapping
  @Needs(Right.BY_LINK)
  String send(
      @PathVariable String token, OutsideDrafts.Sent sent, HttpServletRequest request, Reply reply)
      throws IOException {
    reply.with("typedDraft", sent.text());
    reply.with("sentFile", sent.fileName());
    Optional<BriefLink> link = working(token, request, reply);
    if (link.isPresent()) {
      try {
        wait(token, reply.response());
        String draft = sent.draft();
        reply.with("typedDraft", draft);
        act(link.get(), sent.isHandedIn(), draft, reply.model());
      } catch (RefusedException e) {
        if (reply.response().getStatus() == HttpStatus.OK.value()) {
          reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
        }
        reply.with("fault", e.getMessage());
      }
      reply.with("opened", shared.show(link.get()));
    }
    return "sharing/brief";
  }

  private void wait(String token, HttpServletResponse response) {
    guard
        .useLink(token)
        .ifPresent(
            wait -> {
              long seconds = TooOften.say(response, wait);
              throw new RefusedException(
                  "Too many drafts in a row. Wait %s seconds.".formatted(seconds));
            });
  }

  private void act(BriefLink link, boolean handedIn, String draft, Model model) {
    if (handedIn) {
      shared.handIn(link, draft);
      model.addAttribute("typedDraft", "");
      model.addAttribute("said", OutsideDrafts.THANKS);
    } else {
      model.addAttribute("check", shared.check(link, draft));
    }
  }
}
