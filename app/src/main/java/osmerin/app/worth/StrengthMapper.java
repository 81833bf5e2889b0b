package osmerin.app.worth;

import java.math.BigDecimal;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.worth.Chances;

@Mapper
interface StrengthMapper {
  /** What is stored of a site. */
  record Stored(
      @Nullable Integer strength,
      @Nullable BigDecimal awareness,
      @Nullable BigDecimal consideration,
      @Nullable BigDecimal decision,
      int wordsAnHour,
      @Nullable Double learnedEven,
      @Nullable Double learnedSpread,
      int version) {
    @Nullable Chances learned() {
      return learnedEven == null || learnedSpread == null
          ? null
          : new Chances(learnedEven, learnedSpread);
    }
  }

  void setLearned(@Param("siteId") long siteId, @Param("chances") @Nullable Chances chances);

  Optional<Stored> find(@Param("siteId") long siteId);

  void add(@Param("siteId") long siteId);

  int set(
      @Param("siteId") long siteId,
      @Param("strength") @Nullable Integer strength,
      @Param("awareness") @Nullable BigDecimal awareness,
      @Param("consideration") @Nullable BigDecimal consideration,
      @Param("decision") @Nullable BigDecimal decision,
      @Param("wordsAnHour") int wordsAnHour,
      @Param("seen") int seen);
}
