package osmerin.app.grouping;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;

@Mapper
interface GroupMarkMapper {
  /** An intent as it is said. */
  record Intended(
      long siteId,
      long id,
      SearchIntent intent,
      FunnelStage stage,
      boolean pinned,
      String reason) {}

  int rename(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("name") String name,
      @Param("pinned") boolean pinned,
      @Param("seen") String seen);

  int lock(@Param("siteId") long siteId, @Param("id") long id, @Param("locked") boolean locked);

  int setTopic(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("topicId") @Nullable Long topicId,
      @Param("seen") @Nullable Long seen);

  void setIntent(Intended intended);

  int archiveGroup(@Param("siteId") long siteId, @Param("id") long id, @Param("away") boolean away);
}
