package osmerin.app.grouping;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.data.CopyIn;
import osmerin.core.group.Membership;
import osmerin.core.group.Membership.Neighbour;

/** A keyword in its group. */
public record Placed(long keywordId, long groupId, Membership membership) {
  /** The columns that say where a keyword belongs and why. */
  public static final String COLUMNS =
      "group_id, basis, shared_with_primary, nearest, nearest_shared, shared_words, near_primary,"
          + " nearest_near";

  /** In the order of {@link #COLUMNS}: a keyword that waits for a group. */
  private static final List<@Nullable Object> WAITING =
      CopyIn.fields(null, null, 0, List.of(), List.of(), List.of(), null, List.of());

  /** To hundredths, so that what differs in the last places only is not stored again. */
  static @Nullable Double rounded(@Nullable Double near) {
    return near == null ? null : Math.round(near * 100) / 100.0;
  }

  /** In the order of {@link #COLUMNS}; null is a keyword that waits for a group. */
  public static List<@Nullable Object> fields(@Nullable Placed placed) {
    return placed == null ? WAITING : placed.fields();
  }

  private List<@Nullable Object> fields() {
    return CopyIn.fields(
        groupId,
        membership.basis(),
        membership.sharedWithPrimary(),
        membership.nearest().stream().map(n -> n.keyword().text()).toList(),
        membership.nearest().stream().map(Neighbour::sharedPages).toList(),
        membership.sharedWords().stream().sorted().toList(),
        rounded(membership.nearToPrimary()),
        membership.nearest().stream()
            .map(Neighbour::nearness)
            .filter(near -> near != null)
            .map(Placed::rounded)
            .toList());
  }
}
