package osmerin.app.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Puts into the past what the services do today. */
@Mapper
interface DemoMapper {
  Optional<Long> findGroup(@Param("siteId") long siteId, @Param("keyword") String keyword);

  void ageRound(
      @Param("roundId") long roundId,
      @Param("day") LocalDate day,
      @Param("at") Instant at,
      @Param("started") Instant started);

  void ageSteps(
      @Param("roundId") long roundId, @Param("day") LocalDate day, @Param("at") Instant at);

  void ageMoves(
      @Param("roundId") long roundId, @Param("started") Instant started, @Param("at") Instant at);

  void ageDrafts(@Param("roundId") long roundId, @Param("at") Instant at);

  void agePitch(@Param("pitchId") long pitchId, @Param("at") Instant at);

  void analyze();
}
