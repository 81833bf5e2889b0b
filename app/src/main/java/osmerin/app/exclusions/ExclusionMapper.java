package osmerin.app.exclusions;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import osmerin.core.keyword.ExcludeList.Kind;

@Mapper
interface ExclusionMapper {
  /** An entry of the exclude list as it is shown. */
  record ExclusionRow(long id, Kind kind, String text, String person, Instant at) {}

  /** An entry as keywords are compared with it. */
  record EntryRow(Kind kind, String normal) {}

  /** A keyword by what it is compared with. */
  record Candidate(long id, String normal) {}

  List<ExclusionRow> list(
      @Param("siteId") long siteId, @Param("offset") int offset, @Param("limit") int limit);

  long count(@Param("siteId") long siteId);

  List<EntryRow> entries(@Param("siteId") long siteId);

  Optional<ExclusionRow> find(@Param("siteId") long siteId, @Param("id") long id);

  /**
   * Puts onto the list what is kept with an edit as added, or as removed.
   *
   * @return how many were not on it yet
   */
  int put(
      @Param("siteId") long siteId,
      @Param("editId") long editId,
      @Param("added") boolean added,
      @Param("personId") long personId,
      @Param("at") Instant at);

  /**
   * Takes off the list what is kept with an edit as added, or as removed.
   *
   * @return how many were on it
   */
  int take(
      @Param("siteId") long siteId, @Param("editId") long editId, @Param("added") boolean added);

  int countEdited(@Param("editId") long editId, @Param("added") boolean added);

  List<Candidate> candidates(
      @Param("siteId") long siteId,
      @Param("excluded") boolean excluded,
      @Param("pattern") String pattern);
}
