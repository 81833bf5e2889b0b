package osmerin.app.keywords;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.imports.ImportReports;
import osmerin.app.platform.web.Paging;
import osmerin.app.platform.web.Reply;
import osmerin.app.research.KeywordLanguages;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.topics.TopicService;
import osmerin.app.views.Ledger;
import osmerin.app.views.View;
import osmerin.app.views.Views;
import osmerin.core.intent.SearchIntent;
import osmerin.core.text.Language;

/** All keywords as a ledger, as a file, in views, and changed several at once. */
@Controller
@RequestMapping("/{site}/research/keywords")
class KeywordController {
  private static final int IMPORTS_OFFERED = 50;

  private final KeywordLedger ledger;
  private final KeywordEdits edits;
  private final Views views;
  private final TopicService topics;
  private final ImportReports reports;
  private final KeywordLanguages languages;

  KeywordController(
      KeywordLedger ledger,
      KeywordEdits edits,
      Views views,
      TopicService topics,
      ImportReports reports,
      KeywordLanguages languages) {
    this.languages = languages;
    this.ledger = ledger;
    this.edits = edits;
    this.views = views;
    this.topics = topics;
    this.reports = reports;
  }

  /** Asked for without a filter, it opens with the view that the person chose for that. */
  @GetMapping
  @Needs(Right.READ)
  String keywords(SiteContext site, KeywordFilter filter, HttpServletRequest request, Model model) {
    String path = site.base() + "/research/keywords";
    Optional<View> first =
        request.getQueryString() == null ? views.first(site, Ledger.KEYWORDS) : Optional.empty();
    if (first.isPresent()) {
      return "redirect:" + path + "?" + first.get().query();
    }
    KeywordLedger.Page page = ledger.page(site, filter);
    model.addAttribute("filter", filter);
    model.addAttribute("ledger", page);
    model.addAttribute("paging", page.paging());
    model.addAttribute("path", path);
    model.addAttribute("here", filter.here(path));
    model.addAttribute("file", filter.here(path + "/file.csv"));
    model.addAttribute("bulk", filter.here(path + "/bulk"));
    model.addAttribute("intents", SearchIntent.values());
    model.addAttribute("sizes", Paging.SIZES);
    model.addAttribute("topics", topics.topicNames(site));
    model.addAttribute("imports", reports.imports(site, 0, IMPORTS_OFFERED));
    model.addAttribute("views", views.list(site, Ledger.KEYWORDS));
    model.addAttribute("query", request.getQueryString());
    return "keywords/ledger";
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

  @GetMapping("/{id}/drawer")
  @Needs(Right.READ)
  String drawer(SiteContext site, @PathVariable long id, Model model) {
    model.addAttribute("k", ledger.single(site, id));
    model.addAttribute("spoken", languages.spoken(site, id));
    model.addAttribute("languages", Language.values());
    return "keywords/drawer";
  }

  @PostMapping("/{id}/language")
  @Needs(Right.IMPORT)
  String language(
      SiteContext site, @PathVariable long id, @RequestParam String language, Reply reply) {
    languages.set(site, id, language);
    reply.say("Language saved. Regroup to apply it to the groups.");
    return "redirect:" + site.base() + "/research/keywords";
  }

  /** What is sent to {@link #bulk}. */
  record BulkForm(
      @RequestParam(required = false) @Nullable List<Long> marked,
      @RequestParam(defaultValue = "false") boolean every,
      @RequestParam KeywordEdits.What what,
      @RequestParam(required = false) @Nullable String value) {}

  /** Changes the marked keywords, or all that match the filter of the address. */
  @PostMapping("/bulk")
  @Needs(Right.IMPORT)
  String bulk(SiteContext site, KeywordFilter filter, BulkForm form, Reply reply) {
    List<Long> ids =
        form.every()
            ? edits.matching(site, filter)
            : form.marked() == null ? List.of() : form.marked();
    reply.say(edits.change(site, ids, form.what(), form.value()));
    return "redirect:" + site.base() + "/research/keywords?fold=yes";
  }
}
