package osmerin.app.plan;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import osmerin.core.article.Kind;

@Mapper
interface KeptMonthMapper {
  /** A publish date that was kept. */
  record KeptDate(Kind kind, LocalDate publishDate) {}

  /** 1 when the month was not kept before. */
  int begin(@Param("siteId") long siteId, @Param("month") LocalDate month);

  void keep(
      @Param("siteId") long siteId, @Param("month") LocalDate month, @Param("last") LocalDate last);

  boolean isKept(@Param("siteId") long siteId, @Param("month") LocalDate month);

  List<KeptDate> dates(@Param("siteId") long siteId, @Param("month") LocalDate month);
}
