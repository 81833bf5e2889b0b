package osmerin.app.runups;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import osmerin.core.runup.StepRole;

@Mapper
interface StepRoleMapper {
  List<StepRole> list(@Param("siteId") long siteId);

  int insert(@Param("siteId") long siteId, @Param("role") StepRole role);

  int rename(@Param("siteId") long siteId, @Param("from") StepRole from, @Param("to") StepRole to);

  void renameInTypes(
      @Param("siteId") long siteId, @Param("from") StepRole from, @Param("to") StepRole to);

  void renameInSteps(
      @Param("siteId") long siteId, @Param("from") StepRole from, @Param("to") StepRole to);

  void renameInArticles(
      @Param("siteId") long siteId, @Param("from") StepRole from, @Param("to") StepRole to);

  void renameInChecklists(
      @Param("siteId") long siteId, @Param("from") StepRole from, @Param("to") StepRole to);

  void renameInStages(
      @Param("siteId") long siteId, @Param("from") StepRole from, @Param("to") StepRole to);

  boolean isUsed(@Param("siteId") long siteId, @Param("role") StepRole role);

  int remove(@Param("siteId") long siteId, @Param("role") StepRole role);
}
