package osmerin.app.research;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import osmerin.app.articles.ArticleFilter;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.intent.SearchIntent;

/** All keywords as a ledger, and as a file. */
@Controller
@RequestMapping("/{site}/research/keywords")
class KeywordController {
  private final KeywordLedger ledger;
  private final ResearchService research;
  private final ImportService imports;

  KeywordController(KeywordLedger ledger, ResearchService research, ImportService imports) {
    this.ledger = ledger;
    this.research = research;
    this.imports = imports;
  }

  @GetMapping
  @Needs(Right.READ)
  String keywords(SiteContext site, KeywordFilter filter, Model model) {
    String path = site.base() + "/research/keywords";
    KeywordLedger.Page page = ledger.page(site, filter);
    model.addAttribute("filter", filter);
    model.addAttribute("rows", page.rows());
    model.addAttribute("paging", page.paging());
    model.addAttribute("path", path);
    model.addAttribute("here", filter.here(path));
    model.addAttribute("file", filter.here(path + "/file.csv"));
    model.addAttribute("intents", SearchIntent.values());
    model.addAttribute("sizes", ArticleFilter.SIZES);
    model.addAttribute("topics", research.topicNames(site));
    model.addAttribute("imports", imports.imports(site));
    return "research/keywords";
  }

  @GetMapping("/file.csv")
  @Needs(Right.READ)
  void file(SiteContext site, KeywordFilter filter, HttpServletResponse response)
      throws IOException {
    response.setContentType("text/csv;charset=UTF-8");
    response.setHeader(
        "Content-Disposition", "attachment; filename=\"" + site.site().slug() + "-keywords.csv\"");
    ledger.write(site, filter, response.getWriter());
  }
}
