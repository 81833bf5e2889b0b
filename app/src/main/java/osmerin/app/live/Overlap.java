package osmerin.app.live;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupLists;
import osmerin.app.live.InventoryMapper.RankingRow;
import osmerin.app.near.NearTexts;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** Where live articles compete with each other. */
@Service
public class Overlap {
  /** Titles that are so near chase the same thing. */
  private static final double RIVALS = 0.55;

  private static final int RIVALS_SHOWN = 100;

  private final InventoryMapper inventory;
  private final GroupLists groups;
  private final NearTexts near;

  Overlap(InventoryMapper inventory, GroupLists groups, NearTexts near) {
    this.inventory = inventory;
    this.groups = groups;
    this.near = near;
  }

  /**
   * Where articles compete.
   *
   * @param shared groups that more than one article answers
   * @param spread articles that rank for groups that should be apart
   * @param rivals live articles that are near each other though their groups differ
   */
  public record Overlaps(List<Group> shared, List<Spread> spread, List<NearTexts.Rivals> rivals) {}

  /** An article and the groups for whose keywords it ranks, the surest first. */
  public record Spread(String reference, String title, List<RankingRow> groups) {}

  /** Where articles compete with each other. */
  public Overlaps of(SiteContext context) {
    Map<Integer, List<RankingRow>> byArticle =
        inventory.rankingForSeveral(context.siteId()).stream()
            .collect(
                Collectors.groupingBy(RankingRow::number, LinkedHashMap::new, Collectors.toList()));
    List<Spread> spread = new ArrayList<>();
    byArticle.forEach(
        (number, rows) -> {
          if (rows.size() > 1) {
            spread.add(
                new Spread(
                    new ReferenceNumber(context.site().prefix(), number).toString(),
                    rows.get(0).title(),
                    rows));
          }
        });
    return new Overlaps(groups.shared(context), spread, near.rivals(context, RIVALS, RIVALS_SHOWN));
  }
}
