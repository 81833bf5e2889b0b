package osmerin.app.gathering;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.LongWork;
import osmerin.core.article.ReferenceNumber;

/** Evidence for the group that an article answers, asked for from its brief. */
@Controller
@RequestMapping("/{site}/articles/{number}/brief/evidence")
class BriefEvidenceController {
  private final ArticleService articles;
  private final EvidenceJob job;
  private final LongWork work;

  BriefEvidenceController(ArticleService articles, EvidenceJob job, LongWork work) {
    this.articles = articles;
    this.job = job;
    this.work = work;
  }

  /** Whoever asked waits a moment for it. */
  @PostMapping
  @Needs(Right.WORK)
  String fetch(SiteContext site, @PathVariable ReferenceNumber number, Reply reply) {
    Round round = articles.get(site, number.number());
    WorkRights.requireWork(site, round);
    String brief = site.base() + "/articles/" + round.reference() + "/brief";
    try {
      return "redirect:" + work.awaited(site, job.order(site, List.of(group(round)), brief));
    } catch (RefusedException e) {
      reply.next("searchFault", e.getMessage());
      return "redirect:" + brief;
    }
  }

  private static long group(Round round) {
    if (round.article().groupId() == null) {
      throw new RefusedException(
          "This article answers no keyword group yet. Choose one on the article's page first.");
    }
    return round.article().groupId();
  }
}
