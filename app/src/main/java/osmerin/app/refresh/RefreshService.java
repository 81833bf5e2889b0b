package osmerin.app.refresh;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;

/** Opens refresh rounds on live articles. */
@Service
public class RefreshService {
  private final ArticleService articles;
  private final BriefService briefs;
  private final DraftService drafts;

  RefreshService(ArticleService articles, BriefService briefs, DraftService drafts) {
    this.articles = articles;
    this.briefs = briefs;
    this.drafts = drafts;
  }

  /** Opens a round; it starts from the last round's brief and draft. */
  @Transactional
  public Round begin(
      SiteContext context, int number, long depthId, @Nullable LocalDate publishDate) {
    Round before = articles.get(context, number);
    Round round = articles.beginRefresh(context, number, depthId, publishDate);
    briefs.carryOver(before, round);
    drafts.carryOver(context, before, round);
    return round;
  }
}
