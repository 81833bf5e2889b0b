package osmerin.app.research;

import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;

/**
 * A keyword of the site.
 *
 * @param groupId null before it has one, and while it waits for one
 * @param byHand what a person decided about it
 */
public record KnownKeyword(long id, Keyword keyword, @Nullable Long groupId, ByHand byHand) {
  /**
   * What a person decided about a keyword.
   *
   * @param pinned that it is where it is; without a group, that it waits
   * @param intent that its intent is what it says
   * @param excluded that it is out of sight
   */
  public record ByHand(boolean pinned, boolean intent, boolean excluded) {
    public static final ByHand NOTHING = new ByHand(false, false, false);
    public static final ByHand EXCLUDED = new ByHand(true, false, true);
  }

  /** Whether it waits because a person took it out of its group. */
  public boolean waitsByHand() {
    return groupId == null && byHand.pinned();
  }

  /** With the figures of a newer import; an intent that a person set stands. */
  public KnownKeyword updatedBy(Keyword newer) {
    Keyword updated = keyword.updatedBy(newer);
    return new KnownKeyword(
        id, byHand.intent() ? updated.withIntent(keyword.intent()) : updated, groupId, byHand);
  }
}
