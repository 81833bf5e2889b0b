package osmerin.app.views;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface ViewMapper {
  List<View> list(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("ledger") Ledger ledger);

  Optional<View> findFirst(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("ledger") Ledger ledger);

  void clearFirst(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("ledger") Ledger ledger);

  void save(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("ledger") Ledger ledger,
      @Param("name") String name,
      @Param("query") String query,
      @Param("first") boolean first);

  int delete(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("ledger") Ledger ledger,
      @Param("id") long id);
}
