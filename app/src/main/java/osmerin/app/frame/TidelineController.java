package osmerin.app.frame;

import java.time.YearMonth;
import java.time.format.DateTimeParseException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** The tideline of another month, swapped into whatever page is shown. */
@Controller
class TidelineController {
  private final FrameService frames;

  TidelineController(FrameService frames) {
    this.frames = frames;
  }

  @GetMapping("/{site}/tideline/{month}")
  @Needs(Right.READ)
  String tideline(SiteContext site, @PathVariable String month, Model model) {
    try {
      model.addAttribute("tideline", frames.tideline(site, YearMonth.parse(month)));
      model.addAttribute("base", "/" + site.site().slug());
    } catch (DateTimeParseException e) {
      throw new NotFoundException("month", month);
    }
    return "fragments/tideline-alone";
  }
}
