package osmerin.app.ledger;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface LedgerMapper {
  List<Long> page(
      @Param("siteId") long siteId,
      @Param("filter") ArticleFilter filter,
      @Param("days") ArticleFilter.@Nullable Days days,
      @Param("among") @Nullable List<Long> among);

  long count(
      @Param("siteId") long siteId,
      @Param("filter") ArticleFilter filter,
      @Param("days") ArticleFilter.@Nullable Days days,
      @Param("among") @Nullable List<Long> among);
}
