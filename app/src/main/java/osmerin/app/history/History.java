package osmerin.app.history;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.HistoryMapper.ChangeRow;
import osmerin.app.history.HistoryMapper.EntryRow;
import osmerin.app.platform.web.Foot;
import osmerin.app.platform.web.In;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** What was done on a site, by whom and when. */
@Service
public class History {
  private final HistoryMapper history;
  private final Clock clock;

  History(HistoryMapper history, Clock clock) {
    this.history = history;
    this.clock = clock;
  }

  /** Whose entries, and of what; null asks for all. */
  public record Asked(@Nullable Thing thing, @Nullable String key, @Nullable Long personId) {
    public static final Asked ALL = new Asked(null, null, null);

    public static Asked of(Thing thing, Object key) {
      return new Asked(thing, key.toString(), null);
    }
  }

  /**
   * Keeps what was done, in the transaction that did it. The line at the foot of the next page then
   * offers to undo it.
   *
   * @param needs the right that it took
   * @param sentence "MP-0012 moved from Drafting to Editing."
   * @param changes nothing is kept when there are none
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void note(SiteContext context, Right needs, String sentence, List<Change> changes) {
    if (!changes.isEmpty()) {
      long id = insert(context, needs, sentence, null, changes);
      if (changes.stream().anyMatch(Change::reversible)) {
        Foot.offerUndo(id);
      }
    }
  }

  public void note(SiteContext context, Right needs, String sentence, Change... changes) {
    note(context, needs, sentence, List.of(changes));
  }

  /** A statement has room for so many at the most, by its parameters. */
  private static final int CHANGES_AT_ONCE = 1_000;

  long insert(
      SiteContext context,
      Right needs,
      String sentence,
      @Nullable Long undoes,
      List<Change> changes) {
    long id =
        history.insert(
            new HistoryMapper.Noted(
                context.siteId(), context.personId(), clock.instant(), sentence, needs, undoes));
    for (int from = 0; from < changes.size(); from += CHANGES_AT_ONCE) {
      int to = Math.min(changes.size(), from + CHANGES_AT_ONCE);
      history.insertChanges(id, from, changes.subList(from, to));
    }
    return id;
  }

  /** The latest first. */
  public List<Entry> entries(SiteContext context, Asked asked, int offset, int limit) {
    return withChanges(
        context.siteId(),
        history.entries(
            new HistoryMapper.Wanted(
                context.siteId(),
                asked.thing(),
                asked.key(),
                asked.personId(),
                null,
                offset,
                limit)));
  }

  public long count(SiteContext context, Asked asked) {
    return history.count(context.siteId(), asked.thing(), asked.key(), asked.personId());
  }

  /**
   * For each of these things the latest entry about it that was not taken back, if there is one.
   */
  public Map<String, Long> standing(SiteContext context, Thing thing, Collection<String> keys) {
    return keys.isEmpty()
        ? Map.of()
        : history.standing(context.siteId(), thing, keys).stream()
            .collect(
                Collectors.toMap(
                    HistoryMapper.StandingRow::key, HistoryMapper.StandingRow::entryId));
  }

  /** Another text after every change of the site, so that what was worked out can be kept by it. */
  public String state(SiteContext context) {
    return history.state(context.siteId());
  }

  /** Somebody who did something here. */
  public record Doer(long id, String name) {}

  /** By name. */
  public List<Doer> people(SiteContext context) {
    return history.people(context.siteId());
  }

  /** What was done since a moment, the latest first. */
  public List<Entry> since(SiteContext context, Instant since, int limit) {
    return withChanges(
        context.siteId(),
        history.entries(
            new HistoryMapper.Wanted(context.siteId(), null, null, null, since, 0, limit)));
  }

  /**
   * Who changed a value last and when, in words; null when nobody has.
   *
   * @param field null for any of the thing
   */
  public @Nullable String lastBy(
      SiteContext context, Thing thing, Object key, @Nullable String field) {
    return history
        .findLast(context.siteId(), thing, key.toString(), field)
        .map(
            e ->
                (e.person() == null ? "Osmerin" : e.person())
                    + ", "
                    + In.moment(e.at(), context.site().zoneId()))
        .orElse(null);
  }

  private List<Entry> withChanges(long siteId, List<EntryRow> rows) {
    if (rows.isEmpty()) {
      return List.of();
    }
    Map<Long, List<Change>> changes =
        history.changes(rows.stream().map(EntryRow::id).toList()).stream()
            .collect(
                Collectors.groupingBy(
                    ChangeRow::entryId,
                    Collectors.mapping(ChangeRow::change, Collectors.toList())));
    Set<Long> covered =
        new HashSet<>(history.covered(siteId, rows.stream().map(EntryRow::id).toList()));
    return SmallSaves.gathered(entries(rows, covered, changes));
  }

  private static List<Entry> entries(
      List<EntryRow> rows, Set<Long> covered, Map<Long, List<Change>> changes) {
    return rows.stream()
        .map(r -> entry(r, covered.contains(r.id()), changes.getOrDefault(r.id(), List.of())))
        .toList();
  }

  private static Entry entry(EntryRow r, boolean covered, List<Change> changes) {
    return new Entry(
        r.id(),
        r.personId(),
        r.person(),
        r.at(),
        r.sentence(),
        r.needs(),
        r.undoes(),
        r.undoneBy(),
        covered,
        changes,
        List.of());
  }

  Entry complete(SiteContext context, EntryRow row) {
    return withChanges(context.siteId(), List.of(row)).get(0);
  }
}
