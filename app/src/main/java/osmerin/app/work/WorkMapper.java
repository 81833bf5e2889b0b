package osmerin.app.work;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface WorkMapper {
  /** Work that begins. */
  record Begun(
      UUID id, long siteId, long personId, WorkKind kind, String name, String path, Instant at) {}

  void insert(Begun begun);

  Optional<Work> find(@Param("siteId") long siteId, @Param("id") UUID id);

  int step(
      @Param("id") UUID id,
      @Param("step") String step,
      @Param("done") long done,
      @Param("total") long total);

  void stop(@Param("id") UUID id, @Param("at") Instant at);

  void end(
      @Param("id") UUID id,
      @Param("state") Work.State state,
      @Param("fault") @Nullable String fault,
      @Param("path") @Nullable String path,
      @Param("at") Instant at);
}
