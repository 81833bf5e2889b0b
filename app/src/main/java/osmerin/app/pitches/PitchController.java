package osmerin.app.pitches;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.CommissionForm;
import osmerin.app.brand.BrandSheets;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupService;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.near.NearTexts;
import osmerin.app.pitches.PitchService.GroupToPitch;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.Foot;
import osmerin.app.platform.web.Paging;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.meaning.Nearness;
import osmerin.core.text.Counted;

/** The pitches ledger, and the pitch that is typed from any page. */
@Controller
@RequestMapping("/{site}/pitches")
class PitchController {
  private static final int PAGE = 50;
  private static final int GROUPS_OFFERED = 4;

  private final BrandSheets brand;
  private final PitchService pitches;
  private final CommissionForm commissioning;
  private final GroupService groups;
  private final History history;
  private final NearTexts near;

  PitchController(
      PitchService pitches,
      CommissionForm commissioning,
      GroupService groups,
      History history,
      NearTexts near,
      BrandSheets brand) {
    this.brand = brand;
    this.near = near;
    this.pitches = pitches;
    this.groups = groups;
    this.history = history;
    this.commissioning = commissioning;
  }

  @GetMapping
  @Needs(Right.READ)
  String ledger(SiteContext site, @RequestParam(defaultValue = "1") int page, Model model) {
    Paging paging = new Paging(page, PAGE, pitches.countOpen(site));
    model.addAttribute("pitches", pitches.open(site, paging.offset(), PAGE));
    model.addAttribute("purpose", brand.get(site).purpose());
    model.addAttribute("paging", paging);
    return "pitches/ledger";
  }

  /** From the dialog the page stays as it is and the foot says what happened. */
  @PostMapping
  @Needs(Right.PITCH)
  String pitch(
      SiteContext site,
      @RequestParam String title,
      @RequestHeader(name = "HX-Request", required = false) boolean htmx,
      Reply reply) {
    if (!htmx) {
      reply.say("Pitched: “" + pitches.pitch(site, title).title() + "”.");
      return "redirect:/" + site.site().slug() + "/pitches";
    }
    try {
      reply.with("pitched", pitches.pitch(site, title));
      reply.with("footUndo", Foot.offered());
    } catch (RefusedException e) {
      reply.refuse(e);
      reply.with("typed", title);
    }
    return "pitches/pitched";
  }

  /** Pitches for groups that were picked. */
  @PostMapping("/of-groups")
  @Needs(Right.PITCH)
  String ofGroups(
      SiteContext site,
      @RequestParam(required = false) @Nullable List<Long> marked,
      @RequestParam(defaultValue = "false") boolean anyway,
      Reply reply) {
    if (marked != null && !anyway) {
      askOfAnswered(site, marked);
    }
    List<GroupToPitch> toPitch =
        groups.names(site, marked == null ? List.of() : marked).entrySet().stream()
            .map(g -> new GroupToPitch(g.getKey(), g.getValue()))
            .toList();
    reply.say(Counted.of(pitches.pitchGroups(site, toPitch), "group") + " pitched.");
    return "redirect:" + site.base() + "/pitches";
  }

  /** A second article on one group competes with the first. */
  private void askOfAnswered(SiteContext site, List<Long> marked) {
    List<String> answered =
        groups.groups(site, marked).stream()
            .filter(Group::hasArticles)
            .map(
                group ->
                    "%s: %s %s"
                        .formatted(
                            group.row().name(),
                            group.articles().get(0).reference(),
                            group.articles().get(0).title()))
            .toList();
    if (!answered.isEmpty()) {
      throw new AskException(
          "%s an article already. Two articles on one group compete with each other."
              .formatted(answered.size() == 1 ? "This group has" : "These groups have"),
          answered,
          "Pitch anyway");
    }
  }

  @GetMapping("/{id}/drawer")
  @Needs(Right.READ)
  String drawer(SiteContext site, @PathVariable long id, Model model) {
    model.addAttribute("pitch", pitches.get(site, id));
    model.addAttribute("history", history.entries(site, Asked.of(Thing.PITCH, id), 0, 10));
    return "pitches/drawer";
  }

  @PostMapping("/{id}/title")
  @Needs(Right.PITCH)
  String rename(
      SiteContext site,
      @PathVariable long id,
      @RequestParam String title,
      @RequestParam int seen,
      Reply reply) {
    pitches.rename(site, id, title, seen);
    reply.say("The pitch is “" + title.strip() + "” now.");
    return "redirect:" + site.base() + "/pitches";
  }

  @PostMapping("/{id}/archive")
  @Needs(Right.PITCH)
  String archive(SiteContext site, @PathVariable long id, Reply reply) {
    pitches.archive(site, id);
    reply.say("The pitch is in the archive.");
    return "redirect:" + site.base() + "/pitches";
  }

  @PostMapping("/{id}/restore")
  @Needs(Right.EDIT)
  String restore(SiteContext site, @PathVariable long id, Reply reply) {
    pitches.restore(site, id);
    reply.say("The pitch is restored.");
    return "redirect:" + site.base() + "/pitches";
  }

  @GetMapping("/{id}/commission")
  @Needs(Right.COMMISSION)
  String commission(
      SiteContext site, @PathVariable long id, CommissionForm.Answers typed, Model model) {
    Pitch pitch = pitches.get(site, id);
    return commissioning.show(
        site, typed, pitch.title(), origin(site, pitch, typed.group()), model);
  }

  @PostMapping("/{id}/commission")
  @Needs(Right.COMMISSION)
  String commission(
      SiteContext site, @PathVariable long id, CommissionForm.Answers answers, Reply reply) {
    Pitch pitch = pitches.get(site, id);
    return commissioning.submit(
        site,
        answers,
        origin(site, pitch, answers.group()),
        reply,
        commission -> pitches.commission(site, id, commission));
  }

  private CommissionForm.Origin origin(SiteContext site, Pitch pitch, @Nullable Long chosen) {
    String said =
        "From the pitch of "
            + pitch.pitchedBy()
            + (pitch.groupName() == null ? "" : " for the group “" + pitch.groupName() + "”");
    return new CommissionForm.Origin(
        "/" + site.site().slug() + "/pitches/" + pitch.id() + "/commission",
        said,
        pitch.groupId(),
        pitch.groupId() == null ? List.of() : groups.group(site, pitch.groupId()).articles(),
        pitch.groupId() == null ? nearGroups(site, pitch, chosen) : List.of());
  }

  /** What is near now, and what was chosen when other groups were. */
  private List<CommissionForm.NearGroup> nearGroups(
      SiteContext site, Pitch pitch, @Nullable Long chosen) {
    Map<Long, Double> offered = new LinkedHashMap<>();
    near.groups(site, pitch.title(), Nearness.DEFAULT_LEAST, GROUPS_OFFERED)
        .forEach(group -> offered.put(group.groupId(), group.near()));
    if (chosen != null) {
      offered.putIfAbsent(chosen, null);
    }
    return offered.entrySet().stream()
        .map(
            entry -> {
              Group group = groups.group(site, entry.getKey());
              return new CommissionForm.NearGroup(
                  entry.getKey(), group.row().name(), entry.getValue(), group.articles());
            })
        .toList();
  }
}
