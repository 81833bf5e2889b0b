package osmerin.app.reach;

import java.math.BigDecimal;
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
      int version) {}

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
