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
 * @param covered whether something newer stands on it
 * @param earlier the small saves just before it that it stands for, the latest first
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
    boolean covered,
    List<Change> changes,
    List<Entry> earlier) {

  public boolean isUndone() {
    return undoneBy != null;
  }

  /** Whether it could be taken back, were there nothing newer. */
  public boolean isReversible() {
    return undoneBy == null && changes.stream().anyMatch(Change::reversible);
  }

  /** Whether it can be taken back now. */
  public boolean isFree() {
    return isReversible() && !covered;
  }

  /** Number of the one article it is about; null when it is about none, or about several. */
  public @Nullable Integer article() {
    List<String> keys =
        changes.stream()
            .filter(c -> c.thing() == Thing.ARTICLE)
            .map(Change::key)
            .distinct()
            .toList();
    return keys.size() == 1 ? Integer.valueOf(keys.get(0)) : null;
  }

  Entry with(List<Entry> before) {
    return new Entry(
        id, personId, person, at, sentence, needs, undoes, undoneBy, covered, changes, before);
  }

  /** When the first of what it stands for was done. */
  public Instant since() {
    return earlier.isEmpty() ? at : earlier.get(earlier.size() - 1).at();
  }

  /** Whether there is more to tell than the sentence. */
  public boolean hasDetails() {
    return changes.size() > 1
        || changes.stream().anyMatch(c -> c.before() != null && c.after() != null);
  }
}
