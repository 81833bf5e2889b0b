package osmerin.app.brand;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** The brand sheet of a site. */
@Controller
@RequestMapping("/{site}/setup/brand")
class BrandController {
  private final BrandSheets sheets;
  private final History history;

  BrandController(BrandSheets sheets, History history) {
    this.sheets = sheets;
    this.history = history;
  }

  /**
   * A sheet as it is typed.
   *
   * @param seen the parts as the person saw them
   */
  record Typed(@Nullable Map<BrandPart, String> seen, @Nullable Map<BrandPart, String> texts) {
    Typed {
      seen = seen == null ? Map.of() : seen;
      texts = texts == null ? Map.of() : texts;
    }
  }

  @GetMapping
  @Needs(Right.READ)
  String sheet(SiteContext site, Model model) {
    return page(site, sheets.get(site), model);
  }

  private String page(SiteContext site, BrandSheet shown, Model model) {
    model.addAttribute("sheet", shown);
    model.addAttribute("seen", sheets.get(site));
    model.addAttribute("parts", BrandPart.values());
    model.addAttribute(
        "history", history.entries(site, Asked.of(Thing.BRAND, site.siteId()), 0, 10));
    return "brand/sheet";
  }

  @PostMapping
  @Needs(Right.EDIT)
  String save(SiteContext site, Typed typed, Reply reply) {
    try {
      sheets.change(site, typed.seen(), typed.texts());
    } catch (RefusedException e) {
      reply.refuse(e);
      return page(site, new BrandSheet(typed.texts()), reply.model());
    }
    reply.say("Brand sheet saved. Briefs use it unless they say otherwise.");
    return "redirect:" + site.base() + "/setup/brand";
  }
}
