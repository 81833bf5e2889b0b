package osmerin.app.research;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface TopicMapper {
  int rename(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("name") String name,
      @Param("seen") String seen);

  long countNamed(
      @Param("siteId") long siteId, @Param("name") String name, @Param("except") long except);

  int choosePillar(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("groupId") long groupId,
      @Param("seen") @Nullable Long seen);

  int focus(@Param("siteId") long siteId, @Param("id") long id, @Param("at") @Nullable Instant at);

  long countFocus(@Param("siteId") long siteId);
}
