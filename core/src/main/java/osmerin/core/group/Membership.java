package osmerin.core.group;

import java.util.List;
import java.util.Set;
import osmerin.core.keyword.Keyword;

/**
 * A keyword in a group, and why it is there.
 *
 * @param sharedWithPrimary ranking pages shared with the primary keyword, among the first of each;
 *     for the primary keyword itself the number of its own
 * @param nearest the members, other than the primary keyword, that share most pages with it
 * @param sharedWords its words whose stems the primary keyword has too
 */
public record Membership(
    Keyword keyword,
    Basis basis,
    int sharedWithPrimary,
    List<Neighbour> nearest,
    Set<String> sharedWords) {

  /** What put the keyword there. */
  public enum Basis {
    /** It has the most volume. */
    PRIMARY,
    /** It has the same words as another member. */
    VARIANT,
    /** It is answered with the same pages. */
    PAGES,
    /** It has no ranking pages; its words are those of the group. */
    WORDS,
    /** It was in the group before this run. */
    KEPT
  }

  /** A near member and the number of ranking pages shared with it. */
  public record Neighbour(Keyword keyword, int sharedPages) {}

  public Membership {
    nearest = List.copyOf(nearest);
    sharedWords = Set.copyOf(sharedWords);
  }
}
