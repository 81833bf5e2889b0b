package osmerin.app.history;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.site.Right;

/**
 * What a person did at once.
 *
 * @param person the name; null when Osmerin did it by itself
 * @param needs the right that it took, and that taking it back takes
 * @param undoes the entry that this one took back
 * @param undoneBy the entry that took this one back
 */
public record Entry(
    long id,
    @Nullable Long personId,
    @Nullable String person,
    Instant at,
    String sentence,
    Right needs,
    @Nullable Long undoes,
    @Nullable Long undoneBy,
    List<Change> changes) {

  public boolean isUndone() {
    return undoneBy != null;
  }

  public boolean isReversible() {
    return undoneBy == null && changes.stream().anyMatch(Change::reversible);
  }

  /** Whether there is more to tell than the sentence. */
  public boolean hasDetails() {
    return changes.size() > 1
        || changes.stream().anyMatch(c -> c.before() != null && c.after() != null);
  }
}
