package osmerin.app.ledger;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import osmerin.app.articles.ArticleService;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.site.SiteContext;

/** Finds the articles that the ledger shows. */
@Service
public class ArticleLedger {
  private final LedgerMapper ledger;
  private final ArticleService articles;

  ArticleLedger(LedgerMapper ledger, ArticleService articles) {
    this.ledger = ledger;
    this.articles = articles;
  }

  /** A page of the current rounds that the filter leaves, in its order. */
  public LedgerPage page(SiteContext context, ArticleFilter filter) {
    ArticleFilter.Days days = filter.days(context.today());
    List<Long> among = filter.isNextAsked() ? next(context, filter) : null;
    List<Long> ids = ledger.page(context.siteId(), filter, days, among);
    long total = ledger.count(context.siteId(), filter, days, among);
    if (ids.isEmpty()) {
      return new LedgerPage(List.of(), total, filter);
    }
    Map<Long, PlannedRound> rounds = articles.byIds(context, ids);
    return new LedgerPage(ids.stream().map(rounds::get).toList(), total, filter);
  }

  /** Rounds in work at which it is the turn of a step that is asked for. */
  private List<Long> next(SiteContext context, ArticleFilter filter) {
    return articles.open(context).stream()
        .filter(planned -> filter.isNext(planned, context.personId()))
        .map(planned -> planned.round().id())
        .toList();
  }
}
