package osmerin.app.research;

import org.springframework.stereotype.Component;
import osmerin.core.group.GroupingSettings;

/** How the keywords of a site are grouped. */
@Component
class GroupingChoice {
  private final ResearchMapper research;

  GroupingChoice(ResearchMapper research) {
    this.research = research;
  }

  /** What somebody chose, else as core ships it. */
  GroupingSettings settings(long siteId) {
    return research
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

  void choose(long siteId, GroupingSettings settings) {
    research.chooseGrouping(siteId, settings.minShared(), settings.mode(), settings.near());
  }
}
