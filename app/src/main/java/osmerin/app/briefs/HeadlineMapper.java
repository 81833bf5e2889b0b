package osmerin.app.briefs;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface HeadlineMapper {
  /** The latest first. */
  List<String> patterns(@Param("siteId") long siteId);

  int keep(
      @Param("siteId") long siteId, @Param("text") String text, @Param("personId") long personId);

  int remove(@Param("siteId") long siteId, @Param("text") String text);
}
