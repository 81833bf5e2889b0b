package osmerin.app.starts;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface TemplateMapper {
  /**
   * A template as it is stored.
   *
   * @param content a brief as JSON
   */
  record Row(long id, @Nullable Long typeId, String name, String content) {}

  /** Those of a type and of any, by name. */
  List<Row> of(@Param("siteId") long siteId, @Param("typeId") long typeId);

  Optional<Row> find(@Param("siteId") long siteId, @Param("id") long id);

  int insert(
      @Param("siteId") long siteId, @Param("template") Row template, @Param("personId") long by);

  void remove(@Param("siteId") long siteId, @Param("id") long id);

  /** 0 when there is none of this type and name. */
  int removeNamed(@Param("siteId") long siteId, @Param("template") KeptTemplate template);
}
