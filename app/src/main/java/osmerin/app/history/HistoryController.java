package osmerin.app.history;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import osmerin.app.history.History.Asked;
import osmerin.app.platform.web.Paging;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** The history of a site or of one thing, and undo. */
@Controller
@RequestMapping("/{site}/history")
class HistoryController {
  private static final int PAGE = 50;

  private final History history;
  private final UndoService undo;

  HistoryController(History history, UndoService undo) {
    this.history = history;
    this.undo = undo;
  }

  /** What is sent to {@link #history}. */
  record HistoryForm(
      @RequestParam(required = false) @Nullable Thing thing,
      @RequestParam(required = false) @Nullable String key,
      @RequestParam(required = false) @Nullable Long person,
      @RequestParam(defaultValue = "1") int page) {}

  @GetMapping
  @Needs(Right.READ)
  String history(SiteContext site, HistoryForm form, Model model) {
    boolean ofOne = form.thing() != null && form.key() != null;
    Asked asked = new Asked(ofOne ? form.thing() : null, ofOne ? form.key() : null, form.person());
    Paging paging = new Paging(form.page(), PAGE, history.count(site, asked));
    List<Entry> entries = history.entries(site, asked, paging.offset(), PAGE);
    model.addAttribute("entries", entries);
    model.addAttribute("asked", asked);
    model.addAttribute("people", history.people(site));
    model.addAttribute("paging", paging);
    model.addAttribute(
        "path",
        UriComponentsBuilder.fromPath(site.base() + "/history")
            .queryParamIfPresent("thing", java.util.Optional.ofNullable(asked.thing()))
            .queryParamIfPresent("key", java.util.Optional.ofNullable(asked.key()))
            .queryParamIfPresent("person", java.util.Optional.ofNullable(form.person()))
            .encode()
            .toUriString());
    return "history/history";
  }

  @PostMapping("/{id}/undo")
  @Needs(Right.READ)
  String undo(SiteContext site, @PathVariable long id, Reply reply) {
    reply.say(undo.undo(site, id));
    return "redirect:" + site.base() + "/history";
  }

  /** What the undo key does. */
  @PostMapping("/undo")
  @Needs(Right.READ)
  String undoLatest(SiteContext site, Reply reply) {
    reply.say(undo.undoLatest(site));
    return "redirect:" + site.base() + "/history";
  }

  /** What the undo key does with Shift. */
  @PostMapping("/redo")
  @Needs(Right.READ)
  String redoLatest(SiteContext site, Reply reply) {
    reply.say(undo.redoLatest(site));
    return "redirect:" + site.base() + "/history";
  }
}
