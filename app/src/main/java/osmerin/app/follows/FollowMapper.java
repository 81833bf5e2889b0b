package osmerin.app.follows;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface FollowMapper {
  Optional<Follow> of(@Param("roundId") long roundId);

  List<Follow> on(@Param("roundId") long roundId);

  void put(Follow follow);

  int remove(@Param("roundId") long roundId);

  /** Whether the first round hangs on the second, directly or by others. */
  boolean hangsOn(@Param("roundId") long roundId, @Param("otherId") long otherId);

  /** Whether a round has not been withdrawn. */
  boolean isThere(@Param("roundId") long roundId);

  void lock(@Param("siteId") long siteId);
}
