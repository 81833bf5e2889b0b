package osmerin.app.brand;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface BrandMapper {
  /** A part that is written. */
  record Row(BrandPart part, String text) {}

  List<Row> of(@Param("siteId") long siteId);

  /** Lets one at a time change the sheet of a site. */
  long lock(@Param("siteId") long siteId);

  void put(@Param("siteId") long siteId, @Param("part") BrandPart part, @Param("text") String text);

  void remove(@Param("siteId") long siteId, @Param("part") BrandPart part);
}
