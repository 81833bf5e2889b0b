package osmerin.app.runups;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface StageMapper {
  List<StageRow> list(@Param("siteId") long siteId);

  /** Nobody else changes the stages of the site until the transaction ends. */
  void lock(@Param("siteId") long siteId);

  void retireAll(@Param("siteId") long siteId);

  long insert(@Param("siteId") long siteId, @Param("row") StageRow row);

  /** Brings it back if it is retired; 0 when the site never had it. */
  int update(@Param("siteId") long siteId, @Param("row") StageRow row);
}
