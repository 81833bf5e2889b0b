package osmerin.app.follows;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import osmerin.app.articles.ArticleService;
import osmerin.app.rounds.BesideArticle;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.core.workday.DayAfterText;

/** Shows on the page of an article what its date hangs on, and what hangs on it. */
@Component
class FollowsBeside implements BesideArticle {
  private final FollowMapper follows;
  private final ArticleService articles;

  FollowsBeside(FollowMapper follows, ArticleService articles) {
    this.follows = follows;
    this.articles = articles;
  }

  /**
   * That one article's date hangs on another's.
   *
   * @param words "3 working days after"
   * @param other the article at the other end
   * @param stays why the date stays; null when it follows
   */
  record Line(String words, Round other, @Nullable String stays) {}

  @Override
  public void show(SiteContext context, Round round, Model model) {
    model.addAttribute(
        "follows",
        follows
            .of(round.id())
            .map(
                follow -> {
                  Round other = articles.byId(context, follow.otherRoundId());
                  return new Line(DayAfterText.of(follow.day()), other, Follows.why(other));
                })
            .orElse(null));
    model.addAttribute(
        "followers",
        follows.on(round.id()).stream()
            .map(
                follow ->
                    new Line(
                        DayAfterText.of(follow.day()),
                        articles.byId(context, follow.roundId()),
                        null))
            .toList());
  }
}
