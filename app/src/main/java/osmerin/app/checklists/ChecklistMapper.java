package osmerin.app.checklists;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.checklist.ChecklistItem;

@Mapper
interface ChecklistMapper {
  List<ChecklistItem> items(@Param("typeId") long typeId);

  void removeItems(@Param("typeId") long typeId);

  void insertItems(@Param("typeId") long typeId, @Param("items") List<ChecklistItem> items);

  List<Tick> ticks(@Param("roundId") long roundId);

  int tick(
      @Param("roundId") long roundId,
      @Param("key") String key,
      @Param("on") LocalDate on,
      @Param("by") long by);

  int untick(@Param("roundId") long roundId, @Param("key") String key);

  /** Null where nobody said it. */
  @Nullable Boolean gates(@Param("siteId") long siteId);

  void setGates(@Param("siteId") long siteId, @Param("gates") @Nullable Boolean gates);
}
