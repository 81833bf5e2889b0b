package osmerin.app.checklists;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.Round;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.checklist.Checklist;
import osmerin.core.checklist.ChecklistItem;
import osmerin.core.checklist.OwnCheck;

/** The checklist of an article, and what stands on that of a type. */
@Controller
@RequestMapping("/{site}")
class ChecklistController {
  private final Checklists checklists;
  private final ChecklistEdits edits;
  private final ArticleService articles;

  ChecklistController(Checklists checklists, ChecklistEdits edits, ArticleService articles) {
    this.checklists = checklists;
    this.edits = edits;
    this.articles = articles;
  }

  @GetMapping("/articles/{number}/checklist")
  @Needs(Right.READ)
  String checklist(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Integer round,
      Model model) {
    Round shown = articles.get(site, number.number(), round);
    Checklist checklist = checklists.of(site, shown);
    model.addAttribute("round", shown);
    model.addAttribute("checklist", checklist);
    model.addAttribute("ticks", checklists.ticks(shown));
    model.addAttribute("gates", checklists.gates(site.site()));
    model.addAttribute(
        "mine",
        checklist.lines().stream()
            .map(Checklist.Line::item)
            .filter(item -> item.own() == null && checklists.may(site, shown, item))
            .map(ChecklistItem::key)
            .toList());
    return "checklists/article";
  }

  @PostMapping("/articles/{number}/checklist/{key}")
  @Needs(Right.WORK)
  String tick(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @PathVariable String key,
      @RequestParam boolean done,
      Reply reply) {
    checklists.tick(site, number.number(), key, done);
    reply.say(done ? "Ticked." : "Open again.");
    return "redirect:" + site.base() + "/articles/" + number + "/checklist";
  }

  @GetMapping("/setup/types/{id}/checklist")
  @Needs(Right.MANAGE)
  String ofType(SiteContext site, @PathVariable long id, Model model) {
    List<ChecklistItem> items = edits.items(site, id);
    Map<String, Object> now =
        Map.of(
            "type", edits.type(site, id),
            "checks", OwnCheck.values(),
            "own", items.stream().map(ChecklistItem::own).filter(Objects::nonNull).toList(),
            "byHand", ChecklistEdits.typed(items),
            "seen", ChecklistEdits.seen(items),
            "gates", checklists.gates(site.site()));
    now.forEach(model.asMap()::putIfAbsent);
    return "checklists/type";
  }

  /** What is sent to {@link #set}. */
  record SetForm(
      @RequestParam(required = false) @Nullable List<OwnCheck> own,
      @RequestParam(defaultValue = "") String byHand,
      @RequestParam(defaultValue = "") String seen) {}

  @PostMapping("/setup/types/{id}/checklist")
  @Needs(Right.MANAGE)
  String set(SiteContext site, @PathVariable long id, SetForm form, Reply reply) {
    Set<OwnCheck> checks = EnumSet.noneOf(OwnCheck.class);
    if (form.own() != null) {
      form.own().stream().filter(Objects::nonNull).forEach(checks::add);
    }
    try {
      edits.set(site, id, checks, form.byHand(), form.seen());
    } catch (RefusedException e) {
      reply.refuse(e);
      reply.with("own", List.copyOf(checks));
      reply.with("byHand", form.byHand());
      return ofType(site, id, reply.model());
    }
    reply.say("The checklist is saved. It applies to open articles of this type at once.");
    return "redirect:" + site.base() + "/setup/types/" + id + "/checklist";
  }

  /** Whether checklists hold publishing up on this site. */
  @PostMapping("/setup/types/{id}/checklist/gates")
  @Needs(Right.MANAGE)
  String gates(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "false") boolean gates,
      Reply reply) {
    edits.setGates(site, gates);
    reply.say(gates ? "Checklists hold publishing up." : "Checklists only remind.");
    return "redirect:" + site.base() + "/setup/types/" + id + "/checklist";
  }
}
