package osmerin.core.group;

import java.util.Collection;
import java.util.List;
import osmerin.core.keyword.Keyword;

/**
 * How a group would split: its members are grouped by themselves, asking for one shared page more
 * each time, until they are more than one group. Never more pages are asked for than are known.
 *
 * @param minShared the shared pages at which it splits
 * @param known the ranking pages known of the keyword that has most, as far as they are looked at
 * @param parts in order of demand; none when it holds to the last
 */
public record SplitProposal(int minShared, int known, List<KeywordGroup> parts) {
  public SplitProposal {
    parts = List.copyOf(parts);
  }

  public static SplitProposal of(Collection<Keyword> members, GroupingSettings settings) {
    int known =
        members.stream()
            .mapToInt(keyword -> Math.min(settings.depth(), keyword.pages().size()))
            .max()
            .orElse(0);
    int least = (int) Math.ceil(settings.least() * known / 10);
    for (int shared = Math.max(1, least); shared <= known; shared++) {
      List<KeywordGroup> parts =
          new Grouping(new GroupingSettings(shared, known, settings.mode())).group(members);
      if (parts.size() > 1) {
        return new SplitProposal(shared, known, parts);
      }
    }
    return new SplitProposal(known, known, List.of());
  }
}
