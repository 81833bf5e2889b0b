package osmerin.app.briefs;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface BriefMapper {
  /** A brief as it is stored; its contents as JSON. */
  record BriefRow(
      long roundId,
      String content,
      int version,
      @Nullable String changedBy,
      @Nullable Instant changedAt,
      @Nullable Integer signedOff,
      @Nullable String signedOffBy,
      @Nullable Instant signedOffAt,
      @Nullable String signedContent,
      @Nullable Integer refusedVersion,
      @Nullable String refusedBy,
      @Nullable Instant refusedAt,
      @Nullable String refusal) {}

  Optional<BriefRow> find(@Param("roundId") long roundId);

  /** Keeps others from beginning or changing it until the transaction ends. */
  long lock(@Param("roundId") long roundId);

  void insert(
      @Param("roundId") long roundId,
      @Param("content") String content,
      @Param("personId") long personId);

  int update(
      @Param("roundId") long roundId,
      @Param("content") String content,
      @Param("version") int version,
      @Param("personId") long personId);

  int signOff(
      @Param("roundId") long roundId,
      @Param("version") int version,
      @Param("personId") long personId);

  Optional<KeptSignOff> signedOff(@Param("roundId") long roundId);

  /** Puts a sign-off in place of another one; null for none. */
  int putSignOff(
      @Param("roundId") long roundId,
      @Param("now") @Nullable KeptSignOff now,
      @Param("back") @Nullable KeptSignOff back);

  Optional<KeptRefusal> refused(@Param("roundId") long roundId);

  /** Puts a refusal in place of another one; null for none. */
  int putRefusal(
      @Param("roundId") long roundId,
      @Param("now") @Nullable KeptRefusal now,
      @Param("back") @Nullable KeptRefusal back);

  @Nullable Long lastWriter(@Param("roundId") long roundId);

  List<BriefBefore.HasBrief> having(@Param("roundIds") Collection<Long> roundIds);

  List<Long> unsigned(@Param("roundIds") Collection<Long> roundIds);

  void copy(@Param("from") long fromRound, @Param("to") long toRound);

  void remove(@Param("roundId") long roundId);
}
