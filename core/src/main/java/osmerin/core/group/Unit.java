package osmerin.core.group;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;

/**
 * Close variants that move as one.
 *
 * @param members in {@link Grouping#PRIMARY_FIRST} order
 * @param name the first of their normal forms
 * @param pages the ranking pages that stand for all of them, cut to the depth
 * @param hasFewPages whether so few pages are known that meaning, or without any spelling, may
 *     decide
 * @param home the group they are in already
 */
record Unit(
    List<Keyword> members,
    String name,
    List<PageAddress> pages,
    boolean hasFewPages,
    Set<String> stems,
    @Nullable HeldGroup home) {
  boolean isLocked() {
    return home != null && home.locked();
  }

  /** Whether meaning may join it: it is in no group, and few of its pages are known. */
  boolean isFree() {
    return home == null && hasFewPages;
  }
}
