package osmerin.app.live;

import java.util.List;
import osmerin.app.live.InventoryMapper.IncomingRow;
import osmerin.app.live.InventoryMapper.ProblemRow;
import osmerin.app.live.InventoryMapper.ReadingRow;

/**
 * Pages that wait to be brought in.
 *
 * @param fresh those that no article is for yet
 * @param known how many pages articles are for already
 * @param problems the first of what could not be imported
 */
public record WaitingPages(
    ReadingRow reading,
    List<IncomingRow> fresh,
    int known,
    List<ProblemRow> problems,
    long allProblems) {
  /** How many of the new ones no publish date is known of. */
  public long undated() {
    return fresh.stream().filter(p -> p.published() == null).count();
  }

  public long changedKnown() {
    return fresh.stream().filter(p -> p.published() == null && p.changed() != null).count();
  }
}
