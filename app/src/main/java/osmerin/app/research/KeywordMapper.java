package osmerin.app.research;

import java.math.BigDecimal;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.session.ResultHandler;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.SearchIntent;

@Mapper
interface KeywordMapper {
  /** A keyword as the ledger shows it. */
  record KeywordRow(
      long id,
      String text,
      @Nullable Long volume,
      @Nullable Integer difficulty,
      @Nullable BigDecimal cost,
      @Nullable SearchIntent intent,
      int pages,
      @Nullable Long groupId,
      @Nullable String groupName,
      @Nullable Long topicId,
      @Nullable String topic,
      boolean covered) {}

  long count(@Param("siteId") long siteId, @Param("f") KeywordFilter filter);

  List<KeywordRow> rows(
      @Param("siteId") long siteId,
      @Param("f") KeywordFilter filter,
      @Param("offset") int offset,
      @Param("limit") int limit);

  void all(
      @Param("siteId") long siteId,
      @Param("f") KeywordFilter filter,
      ResultHandler<KeywordRow> handler);
}
