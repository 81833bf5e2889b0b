package osmerin.app.pitches;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface PitchMapper {
  long insert(
      @Param("siteId") long siteId,
      @Param("title") String title,
      @Param("personId") long personId,
      @Param("groupId") @Nullable Long groupId);

  /** Of these groups those that an open pitch is for already. */
  List<Long> pitchedGroups(@Param("siteId") long siteId, @Param("groups") List<Long> groups);

  List<Pitch> open(
      @Param("siteId") long siteId, @Param("offset") int offset, @Param("limit") int limit);

  Optional<Pitch> findOpen(@Param("siteId") long siteId, @Param("id") long id);

  long countOpen(@Param("siteId") long siteId);

  int rename(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("title") String title,
      @Param("seen") int seen);

  int archive(@Param("siteId") long siteId, @Param("id") long id, @Param("away") boolean away);

  List<Pitch> archived(
      @Param("siteId") long siteId,
      @Param("pattern") String pattern,
      @Param("offset") int offset,
      @Param("limit") int limit);

  long countArchived(@Param("siteId") long siteId, @Param("pattern") String pattern);

  int setState(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("from") String from,
      @Param("to") String to,
      @Param("number") @Nullable Integer articleNumber);

  List<Pitch> findByWords(
      @Param("siteId") long siteId, @Param("pattern") String pattern, @Param("limit") int limit);
}
