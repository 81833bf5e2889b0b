package osmerin.app.grouping;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import osmerin.app.grouping.Rearranging.Place;
import osmerin.app.history.Change;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.KnownKeyword.ByHand;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.SiteContext;

/**
 * Lets keywords that wait, or that were excluded, find their groups as an import would: in those
 * that exist or in new ones. Those that fit nowhere go on waiting.
 */
@Component
public class Placing {
  private final SiteKeywords siteKeywords;
  private final Regrouping regrouping;
  private final GroupStore store;
  private final HandEdits edits;

  Placing(SiteKeywords siteKeywords, Regrouping regrouping, GroupStore store, HandEdits edits) {
    this.siteKeywords = siteKeywords;
    this.regrouping = regrouping;
    this.store = store;
    this.edits = edits;
  }

  /**
   * What became of keywords that were to be placed.
   *
   * @param change for the history
   * @param found how many found a group
   */
  public record Outcome(Change change, long found) {}

  /** Places keywords that are in no group, within the caller's transaction. */
  public Outcome place(SiteContext context, Collection<PlaceRow> waiting) {
    Set<Long> ids = waiting.stream().map(PlaceRow::keywordId).collect(Collectors.toSet());
    List<KnownKeyword> all =
        siteKeywords.all(context.siteId()).stream()
            .map(k -> ids.contains(k.id()) ? freed(k) : k)
            .toList();
    Map<Long, Placed> placed = regrouping.place(context.siteId(), all);
    Map<Long, Place> wanted = new LinkedHashMap<>();
    Set<Long> entered = new HashSet<>();
    for (long id : ids) {
      Placed place = placed.get(id);
      wanted.put(id, place == null ? new Place(null, false, false) : Place.byRun(place.groupId()));
      if (place != null) {
        entered.add(place.groupId());
      }
    }
    Map<Long, Placed> beside = new HashMap<>(placed);
    beside.values().removeIf(p -> !entered.contains(p.groupId()));
    store.storePlaces(beside, wanted);
    long edit = edits.keep(context, waiting, wanted);
    long found = wanted.values().stream().filter(p -> p.groupId() != null).count();
    return new Outcome(HandEdits.kept(edit), found);
  }

  private static KnownKeyword freed(KnownKeyword keyword) {
    return new KnownKeyword(
        keyword.id(), keyword.keyword(), null, new ByHand(false, keyword.byHand().intent(), false));
  }
}
