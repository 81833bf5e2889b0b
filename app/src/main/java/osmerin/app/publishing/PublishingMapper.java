package osmerin.app.publishing;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.Stage;

/** What is kept of publishing a round: its hour, the attempts, and that it went live. */
@Mapper
interface PublishingMapper {
  int setPublishHour(
      @Param("roundId") long roundId,
      @Param("from") @Nullable LocalTime from,
      @Param("to") @Nullable LocalTime to,
      @Param("personId") @Nullable Long personId);

  List<Publishing.Due> due(
      @Param("now") Instant now,
      @Param("failedBefore") Instant failedBefore,
      @Param("tries") int tries);

  /** 1 when nobody else is publishing the round, 0 when somebody is, or it is not set. */
  int begin(
      @Param("roundId") long roundId, @Param("stale") Instant stale, @Param("now") Instant now);

  int failed(
      @Param("roundId") long roundId, @Param("reason") String reason, @Param("now") Instant now);

  int wentLive(
      @Param("roundId") long roundId,
      @Param("now") Instant now,
      @Param("day") LocalDate day,
      @Param("stage") Stage stage);

  void setLiveAddress(
      @Param("articleId") long articleId,
      @Param("address") String address,
      @Param("simulated") boolean simulated);
}
