package osmerin.app.workdays;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface WorkdayMapper {
  List<PersonDays> ownDays(@Param("siteId") long siteId);

  List<Absence> ofSite(@Param("siteId") long siteId, @Param("from") LocalDate from);

  Optional<Absence> find(@Param("id") long id);

  long insert(
      @Param("personId") long personId,
      @Param("first") LocalDate first,
      @Param("last") LocalDate last,
      @Param("note") String note);

  int remove(@Param("id") long id);

  int setDays(@Param("personId") long personId, @Param("days") @Nullable List<Integer> days);
}
