package osmerin.app.worth;

import java.math.BigDecimal;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.worth.Chances;

@Mapper
interface StrengthMapper {
  /** The strength of a site as it is set. */
  record Set(
      long siteId,
      @Nullable Integer strength,
      @Nullable BigDecimal awareness,
      @Nullable BigDecimal consideration,
      @Nullable BigDecimal decision,
      int wordsAnHour,
      int seen) {}

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

  int set(Set set);
}
