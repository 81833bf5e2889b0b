package osmerin.app.grouping;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.GroupingSettings;

/**
 * What a full run would do.
 *
 * @param now the groups there are
 * @param groups those there would be
 * @param fresh those of them that are new
 * @param ended groups that would have no keywords left
 * @param moves keywords that would change their group, by volume
 * @param pinned keywords that stay because a person put them there or locked their group
 * @param seal stands for exactly these moves
 */
public record RunPreview(
    GroupingSettings settings,
    int now,
    int groups,
    int fresh,
    int ended,
    List<Move> moves,
    int pinned,
    String seal) {
  /** A move in words. */
  public record Move(String keyword, @Nullable Long volume, @Nullable String from, String to) {}
}
