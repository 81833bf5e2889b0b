package osmerin.core.group;

import java.util.Collection;
import java.util.List;
import osmerin.core.keyword.Keyword;

/**
 * Where a group would come apart: its members are grouped by themselves, asking for one shared page
 * more each time, until they are more than one group.
 *
 * @param minShared the shared pages at which it comes apart
 * @param parts in order of demand; none when it holds to the last
 */
public record SplitProposal(int minShared, List<KeywordGroup> parts) {
  public SplitProposal {
    parts = List.copyOf(parts);
  }

  public static SplitProposal of(Collection<Keyword> members, GroupingSettings settings) {
    for (int shared = settings.minShared(); shared <= settings.depth(); shared++) {
      List<KeywordGroup> parts =
          new Grouping(new GroupingSettings(shared, settings.depth(), settings.mode()))
              .group(members);
      if (parts.size() > 1) {
        return new SplitProposal(shared, parts);
      }
    }
    return new SplitProposal(settings.depth(), List.of());
  }
}
