package osmerin.app.reach;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface ReachMapper {
  /** What is stored of a site. */
  record Stored(
      int strength,
      @Nullable BigDecimal awareness,
      @Nullable BigDecimal consideration,
      @Nullable BigDecimal decision,
      boolean fitted,
      int version) {}

  /** An article that has been live long enough: its group's difficulty, and whether it ranks. */
  record OutcomeRow(double difficulty, boolean reached) {}

  List<OutcomeRow> outcomes(
      @Param("siteId") long siteId, @Param("liveBefore") LocalDate liveBefore);

  int setFitted(@Param("siteId") long siteId, @Param("fitted") boolean fitted);

  Optional<Stored> find(@Param("siteId") long siteId);

  void add(@Param("siteId") long siteId, @Param("strength") int strength);

  int set(
      @Param("siteId") long siteId,
      @Param("strength") int strength,
      @Param("awareness") @Nullable BigDecimal awareness,
      @Param("consideration") @Nullable BigDecimal consideration,
      @Param("decision") @Nullable BigDecimal decision,
      @Param("seen") int seen);
}
