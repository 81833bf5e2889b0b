package osmerin.app.answers;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupService;
import osmerin.app.ledger.ArticleColumn;
import osmerin.app.near.NearTexts;
import osmerin.app.platform.web.In;
import osmerin.app.rounds.BesideArticle;
import osmerin.app.rounds.BesideLedger;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.meaning.Nearness;
import osmerin.core.worth.Worth;

/** Shows beside an article what research says about the group it answers. */
@Component
public class ResearchBeside implements BesideArticle, BesideLedger {
  private static final int SUGGESTED = 3;
  private static final String NONE = "–";

  private final GroupService groups;
  private final NearTexts near;

  ResearchBeside(GroupService groups, NearTexts near) {
    this.groups = groups;
    this.near = near;
  }

  /** A group with its primary keyword. */
  public record Research(Group group, String primary) {
    /** A figure of the ledger in words; "–" for one that is not known. */
    public String figure(ArticleColumn column) {
      Worth worth = group.worth();
      return switch (column) {
        case SEARCHES -> In.volume(group.row().volume());
        case CHANCE -> worth.chance() == null ? NONE : In.percent(worth.chance());
        case VISITS -> worth.visits() == null ? NONE : In.span(worth.visitsSpan());
        case WORDS ->
            group.row().wordTarget() == null
                ? NONE
                : In.number(group.row().wordTarget().longValue());
        case KEYWORD -> primary.isEmpty() ? NONE : primary;
        default -> NONE;
      };
    }
  }

  @Override
  public void show(SiteContext context, Round round, Model model) {
    Long group = round.article().groupId();
    Map<Long, Research> found = research(context, group == null ? List.of() : List.of(group));
    model.addAttribute("research", group == null ? null : found.get(group));
    boolean ask = group == null && context.may(Right.COMMISSION);
    model.addAttribute(
        "suggested",
        ask ? near.groups(context, round.title(), Nearness.DEFAULT_LEAST, SUGGESTED) : List.of());
  }

  @Override
  public void show(SiteContext context, List<Round> rows, Model model) {
    List<Long> ids =
        rows.stream().map(r -> r.article().groupId()).filter(Objects::nonNull).distinct().toList();
    model.addAttribute("researchOf", research(context, ids));
  }

  private Map<Long, Research> research(SiteContext context, List<Long> ids) {
    Map<Long, Research> found = new HashMap<>();
    if (!ids.isEmpty()) {
      Map<Long, String> primaries = groups.primaries(context, ids);
      groups
          .groups(context, ids)
          .forEach(
              group -> {
                long id = group.row().id();
                found.put(id, new Research(group, primaries.getOrDefault(id, "")));
              });
    }
    return found;
  }
}
