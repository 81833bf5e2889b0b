package osmerin.app.history;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.web.Foot;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/**
 * Takes back what was done, while nothing newer stands on it. Taking back is an entry of its own,
 * and can be taken back in turn; then the first one stands again.
 */
@Service
public class UndoService {
  /** How far back the undo key reaches. */
  private static final Duration REACH = Duration.ofHours(12);

  private final History history;
  private final HistoryMapper mapper;
  private final Map<Thing, Reversal> reversals;
  private final Clock clock;

  UndoService(History history, HistoryMapper mapper, List<Reversal> reversals, Clock clock) {
    this.history = history;
    this.mapper = mapper;
    this.reversals =
        reversals.stream().collect(Collectors.toMap(Reversal::thing, Function.identity()));
    this.clock = clock;
  }

  /**
   * Takes an entry back.
   *
   * @return what was taken back, in a sentence
   * @throws RefusedException when it was taken back already, cannot be, or something newer stands
   *     on it; the message names that
   */
  @Transactional
  public String undo(SiteContext context, long id) {
    Entry entry =
        mapper
            .lock(context.siteId(), id)
            .map(row -> history.complete(context, row))
            .orElseThrow(() -> new NotFoundException("history entry", id));
    context.require(entry.needs());
    if (!Objects.equals(entry.personId(), context.personId())) {
      context.require(Right.EDIT);
    }
    if (entry.isUndone()) {
      throw new RefusedException("That has already been undone: " + entry.sentence());
    }
    if (!entry.isReversible()) {
      throw new RefusedException("That can't be undone: " + entry.sentence());
    }
    List<Change> changes = reversible(entry);
    changes.forEach(change -> refuseIfNewer(context, id, change));
    reverse(context, changes);
    return keep(context, entry, changes);
  }

  /**
   * Takes the person's latest change back, if there is one that is not long ago. Called again, it
   * takes the one before back.
   */
  @Transactional
  public String undoLatest(SiteContext context) {
    long id =
        mapper
            .findLatestOf(context.siteId(), context.personId(), clock.instant().minus(REACH))
            .orElseThrow(() -> new RefusedException("You have nothing to undo today."));
    return undo(context, id);
  }

  /**
   * Does again what the person took back last, while they have done nothing else since. Called
   * again, it does the one before again.
   */
  @Transactional
  public String redoLatest(SiteContext context) {
    long id =
        mapper
            .findLatestTakenBackBy(
                context.siteId(), context.personId(), clock.instant().minus(REACH))
            .orElseThrow(() -> new RefusedException("You have nothing to redo."));
    return undo(context, id);
  }

  /** The last change first, as they are to be put back. */
  private static List<Change> reversible(Entry entry) {
    List<Change> changes =
        new ArrayList<>(entry.changes().stream().filter(Change::reversible).toList());
    Collections.reverse(changes);
    return changes;
  }

  private void refuseIfNewer(SiteContext context, long id, Change change) {
    mapper
        .findNewer(context.siteId(), id, change)
        .ifPresent(
            newer -> {
              throw new RefusedException(
                  "A later change depends on this: %s (%s, %s) Undo that first."
                      .formatted(
                          newer.sentence(),
                          newer.person() == null ? "Osmerin" : newer.person(),
                          In.moment(newer.at(), context.site().zoneId())));
            });
  }

  private void reverse(SiteContext context, List<Change> changes) {
    Map<String, List<Change>> byThing =
        changes.stream()
            .collect(
                Collectors.groupingBy(
                    c -> c.thing() + " " + c.key(), LinkedHashMap::new, Collectors.toList()));
    for (List<Change> ofOne : byThing.values()) {
      Change first = ofOne.get(0);
      Reversal reversal = reversals.get(first.thing());
      if (reversal == null) {
        throw new IllegalStateException("nobody takes back changes of " + first.thing());
      }
      reversal.reverse(context, first.key(), ofOne);
    }
  }

  private String keep(SiteContext context, Entry entry, List<Change> changes) {
    String sentence =
        entry.undoes() == null ? "Undone: " + entry.sentence() : "Redone: " + plain(entry);
    List<Change> turned = changes.stream().map(Change::turned).toList();
    long by = history.insert(context, entry.needs(), sentence, entry.id(), turned);
    mapper.setUndoneBy(entry.id(), by);
    if (entry.undoes() != null) {
      mapper.setUndoneBy(entry.undoes(), null);
    }
    Foot.offerUndo(by);
    return sentence;
  }

  private static String plain(Entry entry) {
    return entry.sentence().replaceFirst("^(Undone|Redone|Taken back|Done again): ", "");
  }
}
