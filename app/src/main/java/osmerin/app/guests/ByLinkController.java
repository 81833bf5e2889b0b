package osmerin.app.guests;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import osmerin.app.drafts.OutsideDrafts;
import osmerin.app.platform.security.AskGuard;
import osmerin.app.platform.security.LinkDoor;
import osmerin.app.platform.security.LinkDoor.State;
import osmerin.app.platform.security.TooOften;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;

/** The page that a guest's link opens, and what can be done on it. */
@Controller
@RequestMapping("/by-link/{token}")
class ByLinkController {
  private final ByLink byLink;
  private final GuestNotes notes;
  private final LinkDoor door;
  private final AskGuard guard;

  ByLinkController(ByLink byLink, GuestNotes notes, LinkDoor door, AskGuard guard) {
    this.door = door;
    this.byLink = byLink;
    this.notes = notes;
    this.guard = guard;
  }

  /** What is done through a link that works. */
  private interface Act {
    void through(GuestLink link) throws IOException;
  }

  @GetMapping
  @Needs(Right.BY_LINK)
  String open(@PathVariable String token, HttpServletRequest request, Reply reply) {
    return page(token, request, reply);
  }

  private String page(String token, HttpServletRequest request, Reply reply) {
    Optional<GuestLink> link = byLink.find(token);
    Optional<String> gone = door.shut(byLink.state(link), request, reply.response());
    reply.with("gone", gone.orElse(null));
    if (gone.isEmpty()) {
      reply.with("opened", byLink.open(link.orElseThrow()));
    }
    reply.with("token", token);
    return "guests/by-link";
  }

  @PostMapping("/steps/{key}")
  @Needs(Right.BY_LINK)
  String tick(
      @PathVariable String token,
      @PathVariable String key,
      @RequestParam boolean done,
      HttpServletRequest request,
      Reply reply)
      throws IOException {
    reply.next("said", done ? "Ticked. Thank you." : "It is open again.");
    return act(token, link -> byLink.tick(link, key, done), request, reply)
        ? back(token)
        : page(token, request, reply);
  }

  @PostMapping("/note")
  @Needs(Right.BY_LINK)
  String note(
      @PathVariable String token,
      @RequestParam String text,
      HttpServletRequest request,
      Reply reply)
      throws IOException {
    reply.with("typed", text);
    reply.next("said", "Your note was left.");
    return act(token, link -> notes.note(link, text), request, reply)
        ? back(token)
        : page(token, request, reply);
  }

  @PostMapping("/file")
  @Needs(Right.BY_LINK)
  String file(
      @PathVariable String token,
      @RequestParam MultipartFile file,
      HttpServletRequest request,
      Reply reply)
      throws IOException {
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    reply.with("sentFile", name);
    reply.next("said", "Your file was handed in.");
    return act(token, link -> notes.hand(link, name, content(file)), request, reply)
        ? back(token)
        : page(token, request, reply);
  }

  private static byte[] content(MultipartFile file) throws IOException {
    if (file.getSize() > GuestNotes.LARGEST_FILE) {
      throw new RefusedException("Files of at most 20 MB can be handed in.");
    }
    return file.getBytes();
  }

  /** Checks a draft against the brief, or hands it in; what was typed is shown again. */
  @PostMapping("/draft")
  @Needs(Right.BY_LINK)
  String draft(
      @PathVariable String token, OutsideDrafts.Sent sent, HttpServletRequest request, Reply reply)
      throws IOException {
    reply.with("typedDraft", sent.text());
    reply.with("sentFile", sent.fileName());
    if (sent.isHandedIn()) {
      reply.next("said", OutsideDrafts.THANKS);
      if (act(token, link -> byLink.handIn(link, sent.draft()), request, reply)) {
        return back(token);
      }
    } else {
      act(token, link -> check(link, sent, reply.model()), request, reply);
    }
    return page(token, request, reply);
  }

  private void check(GuestLink link, OutsideDrafts.Sent sent, Model model) throws IOException {
    String draft = sent.draft();
    model.addAttribute("typedDraft", draft);
    model.addAttribute("check", byLink.check(link, draft));
  }

  private static String back(String token) {
    return "redirect:/by-link/" + token;
  }

  /** Whether it was done; otherwise the page is to say why not, with what was typed kept. */
  private boolean act(String token, Act act, HttpServletRequest request, Reply reply)
      throws IOException {
    Optional<GuestLink> link = byLink.find(token);
    if (byLink.state(link) != State.WORKS) {
      return false;
    }
    Optional<Duration> wait = guard.useLink(token);
    if (wait.isPresent()) {
      long seconds = TooOften.say(reply.response(), wait.get());
      reply.with("fault", "Too many changes in a row. Wait %s seconds.".formatted(seconds));
      return false;
    }
    try {
      act.through(link.get());
      return true;
    } catch (RefusedException e) {
      reply.refuse(e);
    } catch (NotFoundException e) {
      reply.status(HttpStatus.NOT_FOUND);
      reply.with("fault", "That step is not yours any more.");
    }
    return false;
  }
}
