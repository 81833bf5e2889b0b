package osmerin.app.site;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface SiteMapper {
  /** A site as it is made. */
  record Made(
      String slug,
      String name,
      String address,
      String prefix,
      String zone,
      List<Integer> workingWeek) {}

  Optional<Site> findFor(@Param("slug") String slug, @Param("personId") long personId);

  Optional<Role> findRole(@Param("siteId") long siteId, @Param("personId") long personId);

  Optional<Site> findLast(@Param("personId") long personId);

  void setLast(@Param("personId") long personId, @Param("siteId") long siteId);

  List<Site> of(@Param("personId") long personId);

  List<Site> all();

  List<LocalDate> holidays(@Param("siteId") long siteId);

  long insert(Made made);

  Site get(@Param("id") long id);

  boolean isTaken(@Param("slug") String slug);

  /** 0 when its version is no longer that of the site. */
  int change(Site site);

  List<Holiday> namedHolidays(@Param("siteId") long siteId, @Param("from") LocalDate from);

  Optional<String> removeHoliday(@Param("siteId") long siteId, @Param("day") LocalDate day);

  int addHoliday(
      @Param("siteId") long siteId, @Param("day") LocalDate day, @Param("name") String name);
}
