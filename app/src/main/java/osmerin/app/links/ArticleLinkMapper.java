package osmerin.app.links;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface ArticleLinkMapper {
  List<NamedLink> of(@Param("articleId") long articleId);

  /** 0 when there is one of the name. */
  int insert(
      @Param("articleId") long articleId,
      @Param("name") String name,
      @Param("address") String address);

  /** 0 when it is not as it was seen. */
  int change(
      @Param("articleId") long articleId,
      @Param("name") String name,
      @Param("seen") String seen,
      @Param("address") String address);

  int remove(
      @Param("articleId") long articleId, @Param("name") String name, @Param("seen") String seen);
}
