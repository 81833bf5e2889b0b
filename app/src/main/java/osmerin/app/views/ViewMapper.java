package osmerin.app.views;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface ViewMapper {
  /** A view as it is saved. */
  record Saved(
      long siteId, long personId, Ledger ledger, String name, String query, boolean first) {}

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

  void save(Saved saved);

  int delete(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("ledger") Ledger ledger,
      @Param("id") long id);
}
