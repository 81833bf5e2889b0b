package osmerin.app.groups;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.worth.SiteStrength;
import osmerin.core.coverage.Coverage;
import osmerin.core.worth.Worth;

/**
 * A group with the articles that answer it.
 *
 * @param articles by number; empty when the group is open
 * @param worth to the site
 * @param value a year for each hour of work, null when it is unknown
 */
public record Group(
    GroupRow row, List<GroupArticle> articles, Worth worth, @Nullable Double value) {
  static Group of(GroupRow row, List<GroupArticle> articles, SiteStrength strength) {
    Worth worth = strength.worth(row.demand(), row.wordTarget());
    return new Group(row, articles, worth, worth.value(strength.perVisit(row.funnelStage())));
  }

  /** How far its articles answer it. */
  public Coverage coverage() {
    return Coverage.of(articles.stream().map(GroupArticle::answer).toList());
  }

  /** Whether another article on it would compete with one there is, live or in work. */
  public boolean hasArticles() {
    return !articles.isEmpty();
  }

  public boolean isOpen() {
    return !coverage().isAnswered() && row.archivedAt() == null;
  }

  public boolean isLive() {
    return coverage() == Coverage.LIVE;
  }

  /** Nothing when they are unknown. */
  public long searches() {
    return row.searches() == null ? 0 : row.searches();
  }
}
