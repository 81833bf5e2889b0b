package osmerin.app.groups;

import org.springframework.stereotype.Component;
import osmerin.core.group.GroupingSettings;

/** How the keywords of a site are grouped. */
@Component
public class GroupingChoice {
  private final GroupMapper groups;

  GroupingChoice(GroupMapper groups) {
    this.groups = groups;
  }

  /** What somebody chose, else as core ships it. */
  public GroupingSettings settings(long siteId) {
    return groups
        .findGrouping(siteId)
        .map(
            chosen ->
                new GroupingSettings(
                    chosen.minShared(),
                    GroupingSettings.DEFAULT.depth(),
                    chosen.mode(),
                    chosen.near()))
        .orElse(GroupingSettings.DEFAULT);
  }

  public void choose(long siteId, GroupingSettings settings) {
    groups.chooseGrouping(siteId, settings.minShared(), settings.mode(), settings.near());
  }
}
