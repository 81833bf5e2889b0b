package osmerin.app.pitches;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.articles.Round;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;

/** Proposed articles. */
@Service
public class PitchService {
  private final PitchMapper pitches;
  private final ArticleService articles;

  PitchService(PitchMapper pitches, ArticleService articles) {
    this.pitches = pitches;
    this.articles = articles;
  }

  /** Keeps a pitch; all it needs is a title. */
  @Transactional
  public Pitch pitch(SiteContext context, String title) {
    long id = pitches.insert(context.siteId(), ArticleService.title(title), context.personId());
    return get(context, id);
  }

  /** Open pitches, the latest first. */
  public List<Pitch> open(SiteContext context, int offset, int limit) {
    return pitches.open(context.siteId(), offset, limit);
  }

  public long countOpen(SiteContext context) {
    return pitches.countOpen(context.siteId());
  }

  public Pitch get(SiteContext context, long id) {
    return pitches
        .findOpen(context.siteId(), id)
        .orElseThrow(() -> new NotFoundException("pitch", id));
  }

  /** Accepts a pitch: it becomes an article. */
  @Transactional
  public Round commission(SiteContext context, long id, Commission commission) {
    Round round = articles.commission(context, commission);
    if (pitches.commissioned(id, round.articleId()) == 0) {
      throw new RefusedException("Meanwhile somebody commissioned this pitch.");
    }
    return round;
  }
}
