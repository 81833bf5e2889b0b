package osmerin.app.keywords;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface KeywordViewMapper {
  /** A view of the ledger under a name; {@code query} is the part of its address after the "?". */
  record ViewRow(long id, String name, String query, boolean shownFirst) {}

  List<ViewRow> list(@Param("siteId") long siteId, @Param("personId") long personId);

  Optional<ViewRow> findFirst(@Param("siteId") long siteId, @Param("personId") long personId);

  void clearFirst(@Param("siteId") long siteId, @Param("personId") long personId);

  void save(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("name") String name,
      @Param("query") String query,
      @Param("first") boolean first);

  int delete(@Param("siteId") long siteId, @Param("personId") long personId, @Param("id") long id);
}
