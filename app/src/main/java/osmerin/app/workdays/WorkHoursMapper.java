package osmerin.app.workdays;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface WorkHoursMapper {
  record DayHours(long personId, double hours) {}

  List<DayHours> ofDays(@Param("siteId") long siteId);

  List<Reserved> reserved(@Param("siteId") long siteId);

  Optional<Reserved> find(@Param("id") long id);

  int setDay(@Param("personId") long personId, @Param("hours") @Nullable Double hours);

  void insert(Reserved reserved);

  int remove(@Param("id") long id);
}
