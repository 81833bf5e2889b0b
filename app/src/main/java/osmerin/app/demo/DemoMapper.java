package osmerin.app.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
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

  /** Publishing failed at the hour, and is not tried again. */
  void ageFailure(
      @Param("roundId") long roundId, @Param("hour") LocalTime hour, @Param("at") Instant at);

  void ageSteps(
      @Param("roundId") long roundId, @Param("day") LocalDate day, @Param("at") Instant at);

  void ageMoves(
      @Param("roundId") long roundId, @Param("started") Instant started, @Param("at") Instant at);

  void ageDrafts(@Param("roundId") long roundId, @Param("at") Instant at);

  void agePitch(@Param("pitchId") long pitchId, @Param("key") String key, @Param("at") Instant at);

  /** Spreads what was done to an article while loading over the time of a round. */
  void ageHistory(
      @Param("siteId") long siteId,
      @Param("key") String key,
      @Param("loadedSince") Instant loadedSince,
      @Param("from") Instant from,
      @Param("to") Instant to);

  /** The first import of a site lies long back, with what it brought. */
  void ageImports(@Param("loadedSince") Instant loadedSince, @Param("at") Instant at);

  /** A month's targets were set shortly before it. */
  void ageTargets(@Param("loadedSince") Instant loadedSince);

  /** What a site was set up with is no news. */
  void ageSetup(@Param("loadedSince") Instant loadedSince);

  /** Spreads what was done to articles in work over the last days, each article a little aside. */
  void ageOpenArticles(@Param("loadedSince") Instant loadedSince);

  /** Steps ticked and drafts saved of articles in work lie where their entries do. */
  void ageOpenRounds();

  /** Keeps the last notice of each article in work, of the time of its last change. */
  void thinNotices();

  void setMail(@Param("personId") long personId, @Param("mail") String mail);

  void analyze();
}
