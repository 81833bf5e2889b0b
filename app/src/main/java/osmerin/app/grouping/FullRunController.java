package osmerin.app.grouping;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Paging;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.GroupingSettings.Mode;

/** Regrouping all keywords: first what would move, then the move itself. */
@Controller
@RequestMapping("/{site}/research/regroup")
class FullRunController {
  private static final int PAGE = 100;

  private final FullRunService runs;

  FullRunController(FullRunService runs) {
    this.runs = runs;
  }

  /** What is sent to {@link #preview}. */
  record PreviewForm(
      @RequestParam(required = false) @Nullable Integer minShared,
      @RequestParam(required = false) @Nullable String mode,
      @RequestParam(required = false) @Nullable Integer near,
      @RequestParam(defaultValue = "1") int page) {}

  @GetMapping
  @Needs(Right.IMPORT)
  String preview(SiteContext site, PreviewForm form, Model model) {
    GroupingSettings now = runs.settings(site);
    RunPreview preview =
        runs.preview(
            site,
            form.minShared() == null ? now.minShared() : form.minShared(),
            mode(form.mode(), now.mode()),
            form.near() == null || !GroupingSettings.isNear(form.near())
                ? now.near()
                : form.near());
    Paging paging = new Paging(form.page(), PAGE, preview.moves().size());
    model.addAttribute("now", now);
    model.addAttribute("least", GroupingSettings.NEAREST_APART);
    model.addAttribute("most", GroupingSettings.MOST_APART);
    model.addAttribute("preview", preview);
    model.addAttribute("moves", paging.of(preview.moves()));
    model.addAttribute("paging", paging);
    return "grouping/regroup";
  }

  private int near(SiteContext site, @Nullable Integer typed) {
    return typed == null ? runs.settings(site).near() : typed;
  }

  private static Mode mode(@Nullable String typed, Mode otherwise) {
    for (Mode mode : Mode.values()) {
      if (mode.name().toLowerCase(Locale.ROOT).equals(typed)) {
        return mode;
      }
    }
    return otherwise;
  }

  /** What is sent to {@link #apply}. */
  record ApplyForm(
      @RequestParam int minShared,
      @RequestParam String mode,
      @RequestParam(required = false) @Nullable Integer near,
      @RequestParam(defaultValue = "") String seal) {}

  @PostMapping
  @Needs(Right.IMPORT)
  String apply(SiteContext site, ApplyForm form, Reply reply) {
    runs.apply(
        site,
        form.minShared(),
        mode(form.mode(), Mode.LOOSE),
        near(site, form.near()),
        form.seal());
    reply.say("All keywords are regrouped.");
    return "redirect:" + site.base() + "/research";
  }

  /** Keeps the settings for later imports and moves nothing. */
  @PostMapping("/settings")
  @Needs(Right.IMPORT)
  String choose(
      SiteContext site,
      @RequestParam int minShared,
      @RequestParam String mode,
      @RequestParam(required = false) @Nullable Integer near,
      Reply reply) {
    runs.choose(site, minShared, mode(mode, Mode.LOOSE), near(site, near));
    reply.say("Later imports are grouped this way. Nothing was moved.");
    return "redirect:" + site.base() + "/research/regroup";
  }
}
