package osmerin.app.live;

import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
import osmerin.app.bulk.BulkEdits;
import osmerin.app.groups.GroupService;
import osmerin.app.platform.web.Paging;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.LongWork;
import osmerin.core.text.Counted;
import osmerin.core.workday.DayText;
import osmerin.formats.text.UnreadableFileException;

/** Bringing in what is live, matching it with groups, and seeing where articles compete. */
@Controller
@RequestMapping("/{site}/live")
class InventoryController {
  private static final int PAGE = 100;
  private static final int SHOWN = 100;

  private final InventoryIntake intake;
  private final FetchJob fetches;
  private final LongWork work;
  private final LiveMatching matching;
  private final Overlap overlap;
  private final GroupService groups;
  private final BulkEdits articles;

  InventoryController(
      InventoryIntake intake,
      FetchJob fetches,
      LongWork work,
      LiveMatching matching,
      Overlap overlap,
      GroupService groups,
      BulkEdits articles) {
    this.articles = articles;
    this.intake = intake;
    this.fetches = fetches;
    this.work = work;
    this.matching = matching;
    this.overlap = overlap;
    this.groups = groups;
  }

  /**
   * Live articles and the groups they answer; those that nobody has decided unless all are asked.
   */
  @GetMapping("/inventory")
  @Needs(Right.READ)
  String list(
      SiteContext site,
      @RequestParam(required = false) @Nullable String show,
      @RequestParam(defaultValue = "1") int page,
      Model model) {
    boolean open = !"all".equals(show);
    Paging paging = new Paging(page, PAGE, matching.countMatches(site, open));
    model.addAttribute("rows", matching.matches(site, open, paging.offset(), PAGE));
    model.addAttribute("paging", paging);
    model.addAttribute("open", open);
    model.addAttribute("all", matching.countMatches(site, false));
    return "live/inventory";
  }

  @GetMapping("/inventory/bring-in")
  @Needs(Right.COMMISSION)
  String bringIn(@RequestParam(required = false) @Nullable String address, Model model) {
    model.addAttribute("typed", address);
    return "live/bring-in";
  }

  @PostMapping("/inventory/file")
  @Needs(Right.COMMISSION)
  String file(SiteContext site, @RequestParam MultipartFile file, Reply reply) throws IOException {
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    if (name.isEmpty()) {
      return fault("Choose a file first.", "", reply);
    }
    try {
      return preview(site, intake.keep(site, name, file.getBytes()));
    } catch (UnreadableFileException | RefusedException e) {
      return fault(name + ": " + e.getMessage(), "", reply);
    }
  }

  @PostMapping("/inventory/address")
  @Needs(Right.COMMISSION)
  String address(
      SiteContext site, @RequestParam(required = false) @Nullable String address, Reply reply) {
    String typed = address == null ? "" : address;
    try {
      return "redirect:" + work.awaited(site, fetches.order(site, typed));
    } catch (RefusedException e) {
      return fault(String.valueOf(e.getMessage()), typed, reply);
    }
  }

  /** Own pages that a keyword file told of. */
  @PostMapping("/inventory/import/{id}")
  @Needs(Right.COMMISSION)
  String imported(SiteContext site, @PathVariable long id, Reply reply) {
    try {
      return preview(site, intake.keepOwn(site, id));
    } catch (RefusedException e) {
      return fault(String.valueOf(e.getMessage()), "", reply);
    }
  }

  private static String preview(SiteContext site, UUID id) {
    return "redirect:" + site.base() + "/live/inventory/" + id;
  }

  private static String fault(String message, @Nullable String typed, Reply reply) {
    reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
    reply.with("fault", message);
    reply.with("typed", typed);
    return "live/bring-in";
  }

  /** A file that was brought in already, on the way back for instance, leads to the list. */
  @GetMapping("/inventory/{id}")
  @Needs(Right.COMMISSION)
  String preview(SiteContext site, @PathVariable UUID id, Model model) {
    Optional<WaitingPages> waiting = intake.find(site, id);
    if (waiting.isEmpty()) {
      return list(site);
    }
    model.addAttribute("waiting", waiting.get());
    model.addAttribute("shown", waiting.get().fresh().stream().limit(SHOWN).toList());
    model.addAttribute("otherwise", site.today().minusYears(1).withDayOfYear(1));
    return "live/preview";
  }

  @PostMapping("/inventory/{id}")
  @Needs(Right.COMMISSION)
  String bringIn(
      SiteContext site,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "false") boolean useChanged,
      @RequestParam(required = false) @Nullable LocalDate otherwise,
      Reply reply) {
    int count = intake.bringIn(site, id, useChanged, day(otherwise));
    reply.say(Counted.of(count, "article") + " imported. Check the groups they match.");
    return list(site);
  }

  private static LocalDate day(@Nullable LocalDate typed) {
    if (typed == null) {
      throw new RefusedException("Say when pages without a date went live. " + DayText.HINT);
    }
    return typed;
  }

  @PostMapping("/inventory/match")
  @Needs(Right.COMMISSION)
  String match(SiteContext site, Reply reply) {
    matching.match(site);
    reply.say("Matched with the groups there are now.");
    return list(site);
  }

  /** What is done to the pages that are marked. */
  enum What {
    CONFIRM,
    /** For what is no article, an "About us" for instance: it goes into the archive. */
    SET_ASIDE
  }

  @PostMapping("/inventory/bulk")
  @Needs(Right.COMMISSION)
  String bulk(
      SiteContext site,
      @RequestParam(required = false) @Nullable List<Integer> marked,
      @RequestParam What what,
      Reply reply) {
    List<Integer> numbers = marked == null ? List.of() : marked;
    if (what == What.CONFIRM) {
      reply.say(Counted.of(matching.confirm(site, numbers), "article") + " matched.");
    } else {
      reply.say(articles.change(site, numbers, BulkEdits.What.ARCHIVE, null, true).sentence());
    }
    return list(site);
  }

  /** Says the group by its name; without one the article answers none. */
  @PostMapping("/inventory/articles/{number}")
  @Needs(Right.COMMISSION)
  String correct(
      SiteContext site,
      @PathVariable int number,
      @RequestParam(defaultValue = "") String value,
      Reply reply) {
    matching.correct(site, number, value.isBlank() ? null : groups.named(site, value));
    reply.say(value.isBlank() ? "It answers no group." : "It answers “" + value.strip() + "”.");
    return list(site);
  }

  @GetMapping("/overlap")
  @Needs(Right.READ)
  String overlap(SiteContext site, Model model) {
    model.addAttribute("overlaps", overlap.of(site));
    return "live/overlap";
  }

  private static String list(SiteContext site) {
    return "redirect:" + site.base() + "/live/inventory";
  }
}
