package osmerin.app.articles;

import java.util.List;
import org.springframework.stereotype.Service;
import osmerin.app.platform.data.LikePattern;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** Finds articles by their words, also those in the archive. */
@Service
public class ArticleSearch {
  private final ArticleMapper articles;

  ArticleSearch(ArticleMapper articles) {
    this.articles = articles;
  }

  /**
   * An article that was found by its words or number.
   *
   * @param stage its name
   */
  public record Found(String prefix, int number, String title, String stage) {
    /** "MP-0158". */
    public String reference() {
      return new ReferenceNumber(prefix, number).toString();
    }
  }

  /** Articles by name or number, the best first, without archived ones. */
  public List<Found> find(SiteContext context, String words, int limit) {
    return articles.findByWords(
        context.siteId(), LikePattern.of(words), ReferenceNumber.typed(words).orElse(null), limit);
  }

  /**
   * Archived articles, the latest first.
   *
   * @param words of the title, or a number; empty for all
   */
  public List<Round> archived(SiteContext context, String words, int offset, int limit) {
    return articles.archived(
        context.siteId(),
        LikePattern.of(words),
        ReferenceNumber.typed(words).orElse(null),
        offset,
        limit);
  }

  /** How many there are of {@link #archived}. */
  public long countArchived(SiteContext context, String words) {
    return articles.countArchived(
        context.siteId(), LikePattern.of(words), ReferenceNumber.typed(words).orElse(null));
  }
}
