package osmerin.app.topics;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import osmerin.app.groups.GroupService;
import osmerin.app.rounds.BesideLedger;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;

/** The topics that articles answer, in the articles ledger. */
@Component
class TopicsBesideLedger implements BesideLedger {
  private final TopicService topics;
  private final GroupService groups;

  TopicsBesideLedger(TopicService topics, GroupService groups) {
    this.topics = topics;
    this.groups = groups;
  }

  @Override
  public void show(SiteContext context, List<Round> rows, Model model) {
    List<TopicRow> all = topics.topicNames(context);
    Map<Long, String> names = all.stream().collect(Collectors.toMap(TopicRow::id, TopicRow::name));
    List<Long> ids =
        rows.stream().map(r -> r.article().groupId()).filter(Objects::nonNull).distinct().toList();
    Map<Long, String> topicOf = new HashMap<>();
    Map<Long, String> groupOf = new HashMap<>();
    if (!ids.isEmpty()) {
      groups
          .rows(context, ids)
          .forEach(
              group -> {
                groupOf.put(group.id(), group.name());
                topicOf.put(group.id(), names.getOrDefault(group.topicId(), ""));
              });
    }
    model.addAttribute("topics", all);
    model.addAttribute("topicOf", topicOf);
    model.addAttribute("groupOf", groupOf);
  }
}
