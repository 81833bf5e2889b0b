package osmerin.app.bulk;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Reply;
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

  /** What is sent to {@link #change}. */
  record ChangeForm(
      @RequestParam(required = false) @Nullable List<Integer> marked,
      @RequestParam BulkEdits.What what,
      @RequestParam(required = false) @Nullable String value,
      @RequestParam(defaultValue = "false") boolean anyway) {}

  /** One change of all marked articles. */
  @PostMapping("/{site}/articles/bulk")
  @Needs(Right.EDIT)
  String change(SiteContext site, ChangeForm form, Reply reply) {
    BulkEdits.Outcome outcome =
        bulk.change(
            site,
            form.marked() == null ? List.of() : form.marked(),
            form.what(),
            form.value(),
            form.anyway());
    reply.say(outcome.sentence());
    reply.next("left", outcome.left());
    return "redirect:" + site.base() + "/articles";
  }
}
