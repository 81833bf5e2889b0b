package osmerin.core.inventory;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Why an article has its keyword group. */
public enum GroupBasis {
  /** It was chosen before the article went live. */
  CHOSEN,
  /** The article's title tells it. */
  TITLE,
  /** The article ranks for its keywords. */
  RANKS,
  /** A person said so once the article was live. */
  LATER;

  /** What a proposal that a person confirms is based on. */
  public static GroupBasis confirmed(PageMatch.Basis basis) {
    return basis == PageMatch.Basis.PAGES ? RANKS : TITLE;
  }

  /**
   * The group by which it is judged whether an article reached page one: the one chosen before it
   * went live, else the one its title tells. Never one that it has because it ranks, since then all
   * would have reached page one; nor one that its title tells when a person said otherwise.
   *
   * @param basis null when the article has no group
   * @param group the article's
   * @param byTitle the group its title tells, null when it tells none
   * @param refused whether a person said that it answers no group
   */
  public static Optional<Long> judgedBy(
      @Nullable GroupBasis basis, @Nullable Long group, @Nullable Long byTitle, boolean refused) {
    if (basis == CHOSEN) {
      return Optional.ofNullable(group);
    }
    boolean otherwise = refused || basis == LATER && (byTitle == null || !byTitle.equals(group));
    return otherwise ? Optional.empty() : Optional.ofNullable(byTitle);
  }
}
