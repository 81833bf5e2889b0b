package osmerin.app.plan;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import osmerin.core.article.Kind;

@Mapper
interface TargetMapper {
  /** Holds every other change of the site's targets back until the transaction ends. */
  String lock(@Param("siteId") long siteId);

  /** Whether any month ever had one. */
  boolean hasAny(@Param("siteId") long siteId);

  List<Target> of(@Param("siteId") long siteId, @Param("month") LocalDate month);

  void set(
      @Param("siteId") long siteId,
      @Param("month") LocalDate month,
      @Param("kind") Kind kind,
      @Param("number") int number,
      @Param("personId") long personId);
}
