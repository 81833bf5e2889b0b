package osmerin.app.imports;

import java.util.Collection;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import osmerin.app.grouping.GroupStore;
import osmerin.app.grouping.GroupsChanged;
import osmerin.app.grouping.Placed;
import osmerin.app.grouping.Regrouping;
import osmerin.app.imports.ImportComparison.Compared;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.VariantFolding;
import osmerin.app.site.SiteContext;
import osmerin.app.work.Progress;
import osmerin.core.text.Counted;

/** Finds places in groups for what an import brought, or for what is left when it is taken back. */
@Component
class ImportPlacing {
  private final Regrouping regrouping;
  private final GroupStore store;
  private final VariantFolding folding;
  private final ApplicationEventPublisher events;

  ImportPlacing(
      Regrouping regrouping,
      GroupStore store,
      VariantFolding folding,
      ApplicationEventPublisher events) {
    this.regrouping = regrouping;
    this.store = store;
    this.folding = folding;
    this.events = events;
  }

  /**
   * Places the keywords of a site.
   *
   * @param added stores those that are new, with their places
   */
  void place(long siteId, Compared compared, Progress progress, Consumer<Map<Long, Placed>> added) {
    Collection<KnownKeyword> known = compared.known().values();
    progress.at("Grouping " + Counted.of(known.size(), "keyword"));
    regrouping.place(
        siteId,
        known,
        progress,
        placed -> {
          progress.at("Storing " + Counted.of(compared.added().size(), "keyword"));
          added.accept(placed);
          store.storePlaces(touched(known, placed, compared));
        });
  }

  /** Places what is left of a site's keywords. */
  void placeLeft(SiteContext context, Collection<KnownKeyword> left) {
    store.removeEmpty(context.siteId());
    store.storePlaces(regrouping.place(context.siteId(), left));
    settle(context, left, Progress.UNWATCHED);
  }

  /** What follows from new places: close variants are folded, live articles matched. */
  void settle(SiteContext context, Collection<KnownKeyword> all, Progress progress) {
    progress.at("Folding close variants");
    folding.fold(context.siteId(), all);
    progress.at("Matching live articles");
    events.publishEvent(new GroupsChanged(context));
  }

  /** Those stored before whose group has a member that is new or changed. */
  private static Map<Long, Placed> touched(
      Collection<KnownKeyword> all, Map<Long, Placed> placed, Compared compared) {
    Set<Long> fresh = compared.added().stream().map(KnownKeyword::id).collect(Collectors.toSet());
    Set<Long> groups =
        Stream.concat(compared.added().stream(), compared.changed().stream())
            .map(k -> placed.get(k.id()))
            .filter(Objects::nonNull)
            .map(Placed::groupId)
            .collect(Collectors.toSet());
    return all.stream()
        .filter(k -> !fresh.contains(k.id()))
        .map(k -> placed.get(k.id()))
        .filter(p -> p != null && groups.contains(p.groupId()))
        .collect(Collectors.toMap(Placed::keywordId, p -> p));
  }
}
