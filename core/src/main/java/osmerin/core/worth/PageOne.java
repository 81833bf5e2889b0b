package osmerin.core.worth;

import org.jspecify.annotations.Nullable;

/** The first page of a search: its ten best positions. */
public final class PageOne {
  /** Its last position. */
  public static final int LAST = 10;

  private PageOne() {}

  /**
   * Whether a position is on it.
   *
   * @param position from 1, null for a page that is not among those that rank
   */
  public static boolean includes(@Nullable Integer position) {
    return position != null && position <= LAST;
  }
}
