package osmerin.app.ledger;

import java.util.List;
import osmerin.app.rounds.PlannedRound;

/** A page of the articles ledger. */
public record LedgerPage(List<PlannedRound> rows, long total, ArticleFilter filter) {
  public int pages() {
    return (int) Math.max(1, (total + filter.limit() - 1) / filter.limit());
  }

  /** Number of the first row, from 1. */
  public int first() {
    return rows.isEmpty() ? 0 : filter.offset() + 1;
  }

  public int last() {
    return filter.offset() + rows.size();
  }
}
