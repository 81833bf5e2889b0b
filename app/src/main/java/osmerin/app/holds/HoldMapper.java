package osmerin.app.holds;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.app.rounds.Hold;

@Mapper
interface HoldMapper {
  /** Changes nothing when the round is not on hold for the reason that was seen. */
  int set(
      @Param("roundId") long roundId,
      @Param("seen") @Nullable String seen,
      @Param("hold") @Nullable Hold hold);
}
