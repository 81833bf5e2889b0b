package osmerin.app.runups;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface StepMapper {
  List<StepRow> of(@Param("roundIds") List<Long> roundIds);

  void begin(@Param("roundId") long roundId, @Param("typeId") long typeId);

  int tick(
      @Param("roundId") long roundId,
      @Param("key") String key,
      @Param("day") LocalDate day,
      @Param("personId") @Nullable Long personId,
      @Param("due") @Nullable LocalDate due);

  int untick(@Param("roundId") long roundId, @Param("key") String key);

  void removeBut(@Param("roundId") long roundId, @Param("keys") List<String> keys);

  void put(@Param("roundId") long roundId, @Param("steps") List<StepState> steps);

  List<RoundRecipe> recipes(@Param("roundIds") List<Long> roundIds);

  void setRecipe(RoundRecipe recipe);

  int setHours(
      @Param("roundId") long roundId,
      @Param("key") String key,
      @Param("from") @Nullable Double from,
      @Param("to") @Nullable Double to);

  List<MeasuredStep> measured(@Param("siteId") long siteId, @Param("since") LocalDate since);

  long lock(@Param("roundId") long roundId);

  List<Long> lockOfType(@Param("typeId") long typeId);

  void remove(@Param("roundId") long roundId);
}
