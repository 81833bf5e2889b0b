package osmerin.app.site;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface SiteMapper {
  Optional<Site> findFor(@Param("slug") String slug, @Param("personId") long personId);

  Optional<Role> findRole(@Param("siteId") long siteId, @Param("personId") long personId);

  Optional<Site> findLast(@Param("personId") long personId);

  void setLast(@Param("personId") long personId, @Param("siteId") long siteId);

  List<Site> of(@Param("personId") long personId);

  List<Site> all();

  List<LocalDate> holidays(@Param("siteId") long siteId);

  long insert(
      @Param("slug") String slug,
      @Param("name") String name,
      @Param("address") String address,
      @Param("prefix") String prefix,
      @Param("zone") String zone,
      @Param("workingWeek") List<Integer> workingWeek);

  Site get(@Param("id") long id);

  boolean isTaken(@Param("slug") String slug);

  int change(
      @Param("siteId") long siteId,
      @Param("name") String name,
      @Param("address") String address,
      @Param("zone") String zone,
      @Param("workingWeek") List<Integer> workingWeek,
      @Param("seen") int seen);

  List<Holiday> namedHolidays(@Param("siteId") long siteId, @Param("from") LocalDate from);

  Optional<String> removeHoliday(@Param("siteId") long siteId, @Param("day") LocalDate day);

  int addHoliday(
      @Param("siteId") long siteId, @Param("day") LocalDate day, @Param("name") String name);
}
