package osmerin.core.topic;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.KeywordGroup;

/**
 * A topic cluster.
 *
 * @param keptAs the key of the topic it was before, null for a new one
 * @param pillar the broadest informational group of good demand
 * @param groups all groups, the pillar among them, in order of demand
 */
public record Topic(
    @Nullable String keptAs, String name, KeywordGroup pillar, List<KeywordGroup> groups) {
  public Topic {
    groups = List.copyOf(groups);
  }
}
