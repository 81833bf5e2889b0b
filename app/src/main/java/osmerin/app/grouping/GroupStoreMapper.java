package osmerin.app.grouping;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** What a run or an edit worked out, put into effect all at once. */
@Mapper
interface GroupStoreMapper {
  List<Long> lockedGroups(@Param("siteId") long siteId);

  void createGroups();

  void insertNewGroups(@Param("siteId") long siteId);

  void applyGroups();

  void createPlaces();

  void applyPlaces();

  void createJoined();

  void applyJoined();

  void createPillars();

  void applyPillars();

  /** Says of groups that all keywords have left that they have none; of all, or of these. */
  void emptyGroups(@Param("siteId") long siteId, @Param("ids") @Nullable List<Long> ids);

  void freeArticles(@Param("siteId") long siteId);

  void removeEmptyGroups(@Param("siteId") long siteId);

  void removeEmptyTopics(@Param("siteId") long siteId);
}
