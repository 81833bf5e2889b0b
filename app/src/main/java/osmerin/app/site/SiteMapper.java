package osmerin.app.site;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface SiteMapper {
  Optional<Site> findFor(@Param("slug") String slug, @Param("personId") long personId);

  List<Site> of(@Param("personId") long personId);

  List<LocalDate> holidays(@Param("siteId") long siteId);

  long insert(
      @Param("slug") String slug,
      @Param("name") String name,
      @Param("address") String address,
      @Param("prefix") String prefix,
      @Param("zone") String zone,
      @Param("workingWeek") List<Integer> workingWeek);

  Site get(@Param("id") long id);

  void addHoliday(
      @Param("siteId") long siteId, @Param("day") LocalDate day, @Param("name") String name);
}
