package osmerin.app.tasks;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface TaskMapper {
  List<Task> open(@Param("siteId") long siteId, @Param("personId") long personId);

  Optional<Task> find(@Param("siteId") long siteId, @Param("id") long id);

  long insert(
      @Param("siteId") long siteId,
      @Param("name") String name,
      @Param("personId") long personId,
      @Param("hours") double hours,
      @Param("day") LocalDate day);

  int setDone(
      @Param("id") long id,
      @Param("from") @Nullable LocalDate from,
      @Param("to") @Nullable LocalDate to);

  int setRemoved(@Param("siteId") long siteId, @Param("id") long id, @Param("to") boolean to);
}
