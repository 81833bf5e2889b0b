package osmerin.app.research;

import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import osmerin.app.history.Change;
import osmerin.app.research.GroupStore.Placed;
import osmerin.app.research.HandEditMapper.PlaceRow;
import osmerin.app.research.KnownKeyword.ByHand;
import osmerin.app.research.Rearranging.Place;
import osmerin.app.site.SiteContext;

/**
 * Lets keywords that wait, or that were excluded, find their groups as an import would: in those
 * that exist or in new ones. Those that fit nowhere go on waiting.
 */
@Component
class Placing {
  private final ResearchMapper research;
  private final Regrouping regrouping;
  private final GroupStore store;
  private final Rearranging rearranging;
  private final GroupEdits edits;

  Placing(
      ResearchMapper research,
      Regrouping regrouping,
      GroupStore store,
      Rearranging rearranging,
      GroupEdits edits) {
    this.research = research;
    this.regrouping = regrouping;
    this.store = store;
    this.rearranging = rearranging;
    this.edits = edits;
  }

  /**
   * What became of keywords that were to be placed.
   *
   * @param change for the history
   * @param found how many found a group
   */
  record Outcome(Change change, long found) {}

  /** Places keywords that are in no group, within the caller's transaction. */
  Outcome place(SiteContext context, Collection<PlaceRow> waiting) {
    Set<Long> ids = waiting.stream().map(PlaceRow::keywordId).collect(Collectors.toSet());
    List<KnownKeyword> all =
        StoredKeyword.known(research.keywords(context.siteId())).stream()
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
    rearranging.storePlaces(wanted);
    store.storeMemberships(
        placed.values().stream().filter(p -> entered.contains(p.groupId())).toList());
    long edit = edits.keep(context, waiting, wanted);
    long found = wanted.values().stream().filter(p -> p.groupId() != null).count();
    return new Outcome(GroupEdits.kept(edit), found);
  }

  private static KnownKeyword freed(KnownKeyword keyword) {
    return new KnownKeyword(
        keyword.id(), keyword.keyword(), null, new ByHand(false, keyword.byHand().intent(), false));
  }
}
