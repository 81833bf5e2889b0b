package osmerin.app.grouping;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.groups.GroupService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.group.SplitProposal;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;
import osmerin.core.text.Counted;

/** Editing groups by hand, one or several at once. */
@Controller
@RequestMapping("/{site}/research/groups")
class GroupEditController {
  /** What is done to the groups that are marked. */
  enum What {
    MERGE,
    TOPIC,
    INTENT,
    LOCK,
    UNLOCK,
    DISSOLVE,
    ARCHIVE,
    RESTORE
  }

  private static final int NAMES_SHOWN = 12;

  private final GroupEdits edits;
  private final GroupMarks marks;
  private final GroupService groupService;

  GroupEditController(GroupEdits edits, GroupMarks marks, GroupService groupService) {
    this.edits = edits;
    this.marks = marks;
    this.groupService = groupService;
  }

  /** What is sent to {@link #bulk}. */
  record BulkForm(
      @RequestParam(required = false) @Nullable List<Long> marked,
      @RequestParam What what,
      @RequestParam(required = false) @Nullable String value,
      @RequestParam(required = false) @Nullable SearchIntent intent,
      @RequestParam(required = false) @Nullable FunnelStage stage) {}

  /** Changes all marked groups. */
  @PostMapping("/bulk")
  @Needs(Right.IMPORT)
  String bulk(SiteContext site, BulkForm form, Reply reply) {
    List<Long> ids = form.marked() == null ? List.of() : form.marked();
    switch (form.what()) {
      case MERGE -> edits.merge(site, ids, target(site, ids, form.value()));
      case TOPIC -> marks.toTopic(site, ids, form.value());
      case INTENT -> {
        if (form.intent() == null || form.stage() == null) {
          throw new RefusedException("Choose an intent and a funnel stage.");
        }
        marks.setIntent(site, ids, form.intent(), form.stage());
      }
      case LOCK -> marks.lock(site, ids, true);
      case UNLOCK -> marks.lock(site, ids, false);
      case DISSOLVE -> edits.dissolve(site, ids);
      case ARCHIVE -> marks.archive(site, ids, true);
      case RESTORE -> marks.archive(site, ids, false);
    }
    reply.say(words(form.what(), ids.size()));
    return "redirect:" + site.base() + "/research";
  }

  /** The group that was named, else the first that was marked. */
  private long target(SiteContext site, List<Long> marked, @Nullable String named) {
    if (named != null && !named.isBlank()) {
      return groupService.named(site, named);
    }
    if (marked.size() < 2) {
      throw new RefusedException(
          "Mark two groups to merge them, or say which group takes this one.");
    }
    return marked.get(0);
  }

  private static String words(What what, int count) {
    String groups = Counted.of(count, "group");
    return switch (what) {
      case MERGE -> "The groups are one now.";
      case TOPIC -> groups + " moved.";
      case INTENT -> groups + " changed.";
      case LOCK -> groups + " locked: no import and no run changes them.";
      case UNLOCK -> groups + " unlocked.";
      case DISSOLVE -> groups + " dissolved. The keywords wait to be grouped.";
      case ARCHIVE -> groups + " archived.";
      case RESTORE -> groups + " restored.";
    };
  }

  /** Keywords that were dropped on a group. */
  @PostMapping("/{id}/take")
  @Needs(Right.IMPORT)
  String take(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(required = false) @Nullable List<Long> marked,
      Reply reply) {
    List<Long> ids = marked == null ? List.of() : marked;
    edits.move(site, ids, id);
    reply.say(Counted.of(ids.size(), "keyword") + " moved.");
    return here(site, id);
  }

  /** Groups that were dropped on a group. */
  @PostMapping("/{id}/absorb")
  @Needs(Right.IMPORT)
  String absorb(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(required = false) @Nullable List<Long> marked,
      Reply reply) {
    edits.merge(site, marked == null ? List.of() : marked, id);
    reply.say(words(What.MERGE, 2));
    return here(site, id);
  }

  @PostMapping("/{id}/name")
  @Needs(Right.IMPORT)
  String rename(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String seen,
      Reply reply) {
    marks.rename(site, id, name, seen);
    reply.say("The group has its name; no import changes it.");
    return here(site, id);
  }

  /** How the group would split. */
  @GetMapping("/{id}/split")
  @Needs(Right.READ)
  String split(SiteContext site, @PathVariable long id, Model model) {
    SplitProposal proposal = edits.proposal(site, id);
    model.addAttribute("group", groupService.group(site, id));
    model.addAttribute("proposal", proposal);
    return "grouping/split";
  }

  @PostMapping("/{id}/split")
  @Needs(Right.IMPORT)
  String split(SiteContext site, @PathVariable long id, @RequestParam int parts, Reply reply) {
    edits.splitAsProposed(site, id, parts);
    reply.say("The group is " + Counted.of(parts, "group") + " now.");
    return here(site, id);
  }

  /** Names of groups, to choose one while typing. */
  @GetMapping("/names")
  @Needs(Right.READ)
  String names(
      SiteContext site,
      @RequestParam(name = "value", defaultValue = "") String value,
      Model model) {
    model.addAttribute("names", groupService.names(site, value, NAMES_SHOWN));
    return "grouping/names-list";
  }

  private static String here(SiteContext site, long id) {
    return "redirect:" + site.base() + "/research/groups/" + id;
  }
}
