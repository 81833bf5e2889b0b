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
  /** A brief as it is stored; the outline as JSON. */
  record BriefRow(
      long roundId,
      String workingTitle,
      String primaryKeyword,
      List<String> secondary,
      String reader,
      String angle,
      @Nullable Integer wordsLow,
      @Nullable Integer wordsTarget,
      @Nullable Integer wordsHigh,
      String outline,
      String notes,
      int version,
      @Nullable String changedBy,
      @Nullable Instant changedAt,
      @Nullable Integer signedOff,
      @Nullable String signedOffBy,
      @Nullable Instant signedOffAt) {}

  Optional<BriefRow> find(@Param("roundId") long roundId);

  int insert(@Param("brief") BriefRow brief, @Param("personId") @Nullable Long personId);

  int update(
      @Param("brief") BriefRow brief,
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

  List<BriefBefore.HasBrief> having(@Param("roundIds") Collection<Long> roundIds);

  List<Long> unsigned(@Param("roundIds") Collection<Long> roundIds);

  void copy(@Param("from") long fromRound, @Param("to") long toRound);

  void remove(@Param("roundId") long roundId);
}
