package osmerin.app.drafts;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface DraftMapper {
  /** Words of a round's latest version. */
  record RoundWords(long roundId, int words) {}

  Optional<DraftVersion> find(
      @Param("roundId") long roundId, @Param("ordinal") @Nullable Integer ordinal);

  List<DraftVersion> versions(@Param("roundId") long roundId);

  int insert(
      @Param("roundId") long roundId,
      @Param("ordinal") int ordinal,
      @Param("text") String text,
      @Param("words") int words,
      @Param("personId") long personId);

  /** As the version after the latest one, in the name of somebody without an account. */
  int insertHandedIn(
      @Param("roundId") long roundId,
      @Param("text") String text,
      @Param("words") int words,
      @Param("personId") long personId,
      @Param("by") String by);

  List<RoundWords> words(@Param("roundIds") List<Long> roundIds);

  void remove(@Param("roundId") long roundId);
}
