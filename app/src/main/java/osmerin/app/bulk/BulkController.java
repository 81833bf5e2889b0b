package osmerin.app.bulk;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import osmerin.app.platform.web.Foot;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** The bar of changes for marked articles. */
@Controller
class BulkController {
  private final BulkEdits bulk;

  BulkController(BulkEdits bulk) {
    this.bulk = bulk;
  }

  /** One change of all marked articles. */
  @PostMapping("/{site}/articles/bulk")
  @Needs(Right.EDIT)
  String change(
      SiteContext site,
      @RequestParam(required = false) @Nullable List<Integer> marked,
      @RequestParam BulkEdits.What what,
      @RequestParam(required = false) @Nullable String value,
      @RequestParam(defaultValue = "false") boolean anyway,
      RedirectAttributes to) {
    BulkEdits.Outcome outcome =
        bulk.change(site, marked == null ? List.of() : marked, what, value, anyway);
    Foot.say(to, outcome.sentence());
    to.addFlashAttribute("left", outcome.left());
    return "redirect:" + site.base() + "/articles";
  }
}
