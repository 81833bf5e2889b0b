package osmerin.app.archive;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.articles.ArticleSearch;
import osmerin.app.groups.GroupLists;
import osmerin.app.pitches.PitchService;
import osmerin.app.platform.web.Paging;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** The archive of a site: articles, pitches and groups. */
@Controller
class ArchiveController {
  private static final int PAGE = 50;

  private final ArticleSearch articles;
  private final PitchService pitches;
  private final GroupLists groups;

  ArchiveController(ArticleSearch articles, PitchService pitches, GroupLists groups) {
    this.articles = articles;
    this.pitches = pitches;
    this.groups = groups;
  }

  /** What is looked at. */
  enum Kind {
    ARTICLES,
    PITCHES,
    GROUPS
  }

  @GetMapping("/{site}/archive")
  @Needs(Right.READ)
  String archive(
      SiteContext site,
      @RequestParam(defaultValue = "ARTICLES") Kind kind,
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "1") int page,
      Model model) {
    long[] counts = {
      articles.countArchived(site, q), pitches.countArchived(site, q), groups.countArchived(site, q)
    };
    Paging paging = new Paging(page, PAGE, counts[kind.ordinal()]);
    model.addAttribute(
        "rows",
        switch (kind) {
          case ARTICLES -> articles.archived(site, q, paging.offset(), PAGE);
          case PITCHES -> pitches.archived(site, q, paging.offset(), PAGE);
          case GROUPS -> groups.archived(site, q, paging.offset(), PAGE);
        });
    model.addAttribute("q", q);
    model.addAttribute("kind", kind);
    model.addAttribute("kinds", Kind.values());
    model.addAttribute("counts", counts);
    model.addAttribute("paging", paging);
    return "archive/archive";
  }
}
