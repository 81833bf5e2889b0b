package osmerin.app.research;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface VariantMapper {
  void createVariants();

  void applyVariants(@Param("siteId") long siteId);
}
