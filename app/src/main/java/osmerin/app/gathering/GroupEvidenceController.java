package osmerin.app.gathering;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.evidence.KeptPage;
import osmerin.app.platform.web.Foot;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
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
  String fetch(SiteContext site, @PathVariable long id, Model model, HttpServletResponse response) {
    try {
      return "redirect:" + work.awaited(site, job.order(site, List.of(id), path(site, id)));
    } catch (RefusedException e) {
      return refused(site, id, String.valueOf(e.getMessage()), model, response);
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
      Model model,
      HttpServletResponse response,
      RedirectAttributes to) {
    try {
      brought.paste(site, id, title, text);
    } catch (RefusedException e) {
      model.addAttribute("pastedTitle", title);
      model.addAttribute("pastedText", text);
      return refused(site, id, String.valueOf(e.getMessage()), model, response);
    }
    return added(site, id, "The text is added.", to);
  }

  @PostMapping("/{id}/evidence/file")
  @Needs(Right.EDIT)
  String file(
      SiteContext site,
      @PathVariable long id,
      @RequestParam MultipartFile file,
      Model model,
      HttpServletResponse response,
      RedirectAttributes to)
      throws IOException {
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    if (name.isEmpty()) {
      return refused(site, id, "Choose a file first.", model, response);
    }
    try {
      SavedPages saved = brought.upload(site, id, name, file.getBytes());
      to.addFlashAttribute("passedOver", saved.passedOver());
      return added(site, id, Counted.of(saved.pages().size(), "page") + " added.", to);
    } catch (UnreadableFileException | RefusedException e) {
      return refused(site, id, name + ": " + e.getMessage(), model, response);
    }
  }

  @PostMapping("/{id}/evidence/address")
  @Needs(Right.EDIT)
  String address(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String address,
      Model model,
      HttpServletResponse response,
      RedirectAttributes to) {
    try {
      brought.fetch(site, id, address);
    } catch (UnreadableFileException | RefusedException e) {
      model.addAttribute("typedAddress", address);
      return refused(site, id, String.valueOf(e.getMessage()), model, response);
    }
    return added(site, id, "The page is added.", to);
  }

  private static String added(SiteContext site, long id, String said, RedirectAttributes to) {
    Foot.say(to, said);
    return "redirect:" + path(site, id);
  }

  private String refused(
      SiteContext site, long id, String fault, Model model, HttpServletResponse response) {
    response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
    model.addAttribute("fault", fault);
    return evidence(site, id, null, model);
  }

  /**
   * Leaves a page out, or takes it in again.
   *
   * @param seen the evidence that the person looked at
   */
  @PostMapping("/{id}/evidence/pages/{position}/out")
  @Needs(Right.EDIT)
  String leaveOut(
      SiteContext site,
      @PathVariable long id,
      @PathVariable int position,
      @RequestParam long seen,
      @RequestParam boolean out,
      RedirectAttributes to) {
    evidence.leaveOut(site, seen, position, out);
    return added(site, id, out ? "The page is left out." : "The page counts again.", to);
  }

  @PostMapping("/{id}/evidence/pages/{position}/remove")
  @Needs(Right.EDIT)
  String remove(
      SiteContext site,
      @PathVariable long id,
      @PathVariable int position,
      @RequestParam long seen,
      RedirectAttributes to) {
    evidence.remove(site, seen, position);
    return added(site, id, "The page is removed.", to);
  }

  /** Puts a block of a page in or out. */
  @PostMapping("/{id}/evidence/pages/{position}/blocks/{block}")
  @Needs(Right.EDIT)
  String put(
      SiteContext site,
      @PathVariable long id,
      @PathVariable int position,
      @PathVariable int block,
      @RequestParam long seen,
      @RequestParam boolean in,
      RedirectAttributes to) {
    evidence.put(site, seen, position, block, in);
    Foot.say(to, in ? "The block counts now." : "The block is left out.");
    return "redirect:" + path(site, id) + "/pages/" + position + "#b" + block;
  }

  private static String path(SiteContext site, long id) {
    return site.base() + "/research/groups/" + id + "/evidence";
  }
}
