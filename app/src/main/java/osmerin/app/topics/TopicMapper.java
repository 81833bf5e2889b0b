package osmerin.app.topics;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface TopicMapper {
  /**
   * Topics by name.
   *
   * @param inSight without those that all their groups have left
   */
  List<TopicRow> topics(@Param("siteId") long siteId, @Param("inSight") boolean inSight);

  List<FoundResearch> findByWords(
      @Param("siteId") long siteId, @Param("pattern") String pattern, @Param("limit") int limit);

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

  Optional<Long> findTopic(@Param("siteId") long siteId, @Param("name") String name);

  long insertTopic(@Param("siteId") long siteId, @Param("name") String name);

  void touchTopic(@Param("siteId") long siteId, @Param("id") long id);
}
