package osmerin.app.history;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.app.site.Right;

@Mapper
interface HistoryMapper {
  /** An entry as it is noted. */
  record Noted(
      long siteId,
      @Nullable Long personId,
      Instant at,
      String sentence,
      Right needs,
      @Nullable Long undoes) {}

  /** Which entries are wanted; null asks for all. */
  record Wanted(
      long siteId,
      @Nullable Thing thing,
      @Nullable String key,
      @Nullable Long personId,
      @Nullable Instant since,
      int offset,
      int limit) {}

  /** An entry without its changes. */
  record EntryRow(
      long id,
      @Nullable Long personId,
      @Nullable String person,
      Instant at,
      String sentence,
      Right needs,
      @Nullable Long undoes,
      @Nullable Long undoneBy) {}

  /** A change of an entry. */
  record ChangeRow(
      long entryId,
      Thing thing,
      String thingKey,
      String field,
      @Nullable String before,
      @Nullable String after,
      @Nullable String fromValue,
      @Nullable String toValue,
      boolean reversible) {
    Change change() {
      return new Change(thing, thingKey, field, before, after, fromValue, toValue, reversible);
    }
  }

  long insert(Noted noted);

  void insertChanges(
      @Param("entryId") long entryId,
      @Param("from") int from,
      @Param("changes") List<Change> changes);

  Optional<EntryRow> lock(@Param("siteId") long siteId, @Param("id") long id);

  List<EntryRow> entries(Wanted wanted);

  long count(
      @Param("siteId") long siteId,
      @Param("thing") @Nullable Thing thing,
      @Param("key") @Nullable String key,
      @Param("personId") @Nullable Long personId);

  List<ChangeRow> changes(@Param("entryIds") Collection<Long> entryIds);

  /** Those of the entries on whose values something newer stands. */
  List<Long> covered(@Param("siteId") long siteId, @Param("entryIds") Collection<Long> entryIds);

  /** The sentence of the latest standing entry that changed the same value after this one. */
  Optional<EntryRow> findNewer(
      @Param("siteId") long siteId, @Param("id") long id, @Param("change") Change change);

  String state(@Param("siteId") long siteId);

  /** An entry about a thing that has not been taken back. */
  record StandingRow(String key, long entryId) {}

  List<StandingRow> standing(
      @Param("siteId") long siteId,
      @Param("thing") Thing thing,
      @Param("keys") Collection<String> keys);

  Optional<EntryRow> findLast(
      @Param("siteId") long siteId,
      @Param("thing") Thing thing,
      @Param("key") String key,
      @Param("field") @Nullable String field);

  Optional<Long> findLatestOf(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("since") Instant since);

  /** The latest undo of the person that stands, if nothing else of theirs came after it. */
  Optional<Long> findLatestTakenBackBy(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("since") Instant since);

  List<History.Doer> people(@Param("siteId") long siteId);

  void setUndoneBy(@Param("id") long id, @Param("by") @Nullable Long by);
}
