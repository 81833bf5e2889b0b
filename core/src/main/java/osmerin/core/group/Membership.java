package osmerin.core.group;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;

/**
 * A keyword in a group, and why it is there.
 *
 * @param sharedWithPrimary ranking pages shared with the primary keyword, among the first of each;
 *     for the primary keyword itself the number of its own
 * @param nearToPrimary how near it is in meaning to the primary keyword, about 0–1; null where
 *     meaning was not asked
 * @param nearest the members, other than the primary keyword, that share most pages with it, or
 *     that are nearest to it in meaning where meaning was asked
 * @param sharedWords its words whose stems the primary keyword has too, or, where such words
 *     decided, those that most of the group have
 */
public record Membership(
    Keyword keyword,
    Basis basis,
    int sharedWithPrimary,
    @Nullable Double nearToPrimary,
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
    /** Its ranking pages do not tell; it means much the same as others of the group. */
    MEANING,
    /**
     * The same where meaning is not understood: it is spelled much like others of the group. Or,
     * with meaning not asked, it has words that most of them have.
     */
    WORDS,
    /** It was in the group before this run. */
    KEPT
  }

  /**
   * A near member.
   *
   * @param sharedPages ranking pages shared with it
   * @param nearness how near it is in meaning, null where meaning was not asked
   */
  public record Neighbour(Keyword keyword, int sharedPages, @Nullable Double nearness) {}

  public Membership {
    nearest = List.copyOf(nearest);
    sharedWords = Set.copyOf(sharedWords);
  }
}
