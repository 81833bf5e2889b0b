package osmerin.app.gathering;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.evidence.KeptPage;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.LongWork;
import osmerin.core.text.Counted;
import osmerin.formats.evidence.SavedPages;
import osmerin.formats.text.UnreadableFileException;

/** Evidence of groups: look at it, fetch it, bring pages, leave pages and blocks out. */
@Controller
@RequestMapping("/{site}/research/groups")
class GroupEvidenceController {
  private final GroupEvidence pages;
  private final EvidenceService evidence;
  private final EvidenceJob job;
  private final BroughtPages brought;
  private final LongWork work;

  GroupEvidenceController(
      GroupEvidence pages,
      EvidenceService evidence,
      EvidenceJob job,
      BroughtPages brought,
      LongWork work) {
    this.pages = pages;
    this.evidence = evidence;
    this.job = job;
    this.brought = brought;
    this.work = work;
  }

  @GetMapping("/{id}/evidence")
  @Needs(Right.READ)
  String evidence(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(required = false) @Nullable Long before,
      Model model) {
    GroupEvidence.Page page = pages.page(site, id, before);
    Optional.ofNullable(page.kept()).ifPresent(evidence::look);
    model.addAttribute("page", page);
    model.addAttribute("searchConnected", evidence.isSearchConnected());
    return "gathering/evidence";
  }

  /** A page block by block. */
  @GetMapping("/{id}/evidence/pages/{position}")
  @Needs(Right.READ)
  String blocks(SiteContext site, @PathVariable long id, @PathVariable int position, Model model) {
    GroupEvidence.Page page = pages.withoutEarlier(site, id);
    model.addAttribute("page", page);
    model.addAttribute("shown", shown(page.kept(), position));
    return "gathering/blocks";
  }

  private static KeptPage shown(@Nullable KeptEvidence kept, int position) {
    return Optional.ofNullable(kept).map(KeptEvidence::pages).orElse(List.of()).stream()
        .filter(page -> page.position() == position)
        .findFirst()
        .orElseThrow(() -> new NotFoundException("page", position));
  }

  /** Evidence for one group; whoever asked waits a moment for it. */
  @PostMapping("/{id}/evidence")
  @Needs(Right.EDIT)
  String fetch(SiteContext site, @PathVariable long id, Reply reply) {
    try {
      return "redirect:" + work.awaited(site, job.order(site, List.of(id), path(site, id)));
    } catch (RefusedException e) {
      return refused(site, id, String.valueOf(e.getMessage()), reply);
    }
  }

  /** Evidence for all marked groups. */
  @PostMapping("/evidence")
  @Needs(Right.EDIT)
  String fetch(
      SiteContext site,
      @RequestParam(required = false) @Nullable List<Long> marked,
      @RequestParam(defaultValue = "") String from) {
    String back = from.matches("/research(/[\\w/-]*)?") ? from : "/research";
    List<Long> groups = marked == null ? List.of() : marked;
    return "redirect:" + site.base() + "/work/" + job.order(site, groups, site.base() + back);
  }

  @PostMapping("/{id}/evidence/paste")
  @Needs(Right.EDIT)
  String paste(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String title,
      @RequestParam(defaultValue = "") String text,
      Reply reply) {
    try {
      brought.paste(site, id, title, text);
    } catch (RefusedException e) {
      reply.with("pastedTitle", title);
      reply.with("pastedText", text);
      return refused(site, id, String.valueOf(e.getMessage()), reply);
    }
    return added(site, id, "The text is added.", reply);
  }

  @PostMapping("/{id}/evidence/file")
  @Needs(Right.EDIT)
  String file(
      SiteContext site, @PathVariable long id, @RequestParam MultipartFile file, Reply reply)
      throws IOException {
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    if (name.isEmpty()) {
      return refused(site, id, "Choose a file first.", reply);
    }
    try {
      SavedPages saved = brought.upload(site, id, name, file.getBytes());
      reply.next("passedOver", saved.passedOver());
      return added(site, id, Counted.of(saved.pages().size(), "page") + " added.", reply);
    } catch (UnreadableFileException | RefusedException e) {
      return refused(site, id, name + ": " + e.getMessage(), reply);
    }
  }

  @PostMapping("/{id}/evidence/address")
  @Needs(Right.EDIT)
  String address(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String address,
      Reply reply) {
    try {
      brought.fetch(site, id, address);
    } catch (UnreadableFileException | RefusedException e) {
      reply.with("typedAddress", address);
      return refused(site, id, String.valueOf(e.getMessage()), reply);
    }
    return added(site, id, "The page is added.", reply);
  }

  private static String added(SiteContext site, long id, String said, Reply reply) {
    reply.say(said);
    return "redirect:" + path(site, id);
  }

  private String refused(SiteContext site, long id, String fault, Reply reply) {
    return evidence(site, id, null, reply.refuse(fault).model());
  }

  /**
   * What is sent to {@link #leaveOut}.
   *
   * @param seen the evidence that the person looked at
   */
  record LeaveOutForm(@RequestParam long seen, @RequestParam boolean out) {}

  /** Leaves a page out, or takes it in again. */
  @PostMapping("/{id}/evidence/pages/{position}/out")
  @Needs(Right.EDIT)
  String leaveOut(
      SiteContext site,
      @PathVariable long id,
      @PathVariable int position,
      LeaveOutForm form,
      Reply reply) {
    evidence.leaveOut(site, form.seen(), position, form.out());
    return added(site, id, form.out() ? "The page is left out." : "The page counts again.", reply);
  }

  @PostMapping("/{id}/evidence/pages/{position}/remove")
  @Needs(Right.EDIT)
  String remove(
      SiteContext site,
      @PathVariable long id,
      @PathVariable int position,
      @RequestParam long seen,
      Reply reply) {
    evidence.remove(site, seen, position);
    return added(site, id, "The page is removed.", reply);
  }

  /** What is sent to {@link #put}. */
  record PutForm(
      @PathVariable int position,
      @PathVariable int block,
      @RequestParam long seen,
      @RequestParam boolean in) {}

  /** Puts a block of a page in or out. */
  @PostMapping("/{id}/evidence/pages/{position}/blocks/{block}")
  @Needs(Right.EDIT)
  String put(SiteContext site, @PathVariable long id, PutForm form, Reply reply) {
    evidence.put(site, form.seen(), form.position(), form.block(), form.in());
    reply.say(form.in() ? "The block counts now." : "The block is left out.");
    return "redirect:" + path(site, id) + "/pages/" + form.position() + "#b" + form.block();
  }

  private static String path(SiteContext site, long id) {
    return site.base() + "/research/groups/" + id + "/evidence";
  }
}
