package osmerin.app.runups;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import osmerin.core.article.Kind;
import osmerin.core.runup.RunUpStep;

@Mapper
interface ArticleTypeMapper {
  List<ArticleType> list(@Param("siteId") long siteId, @Param("kind") Kind kind);

  List<RunUpStep> steps(@Param("typeId") long typeId);

  long insert(
      @Param("siteId") long siteId,
      @Param("name") String name,
      @Param("kind") Kind kind,
      @Param("position") int position,
      @Param("cushion") int cushion);

  void insertStep(
      @Param("typeId") long typeId, @Param("position") int position, @Param("step") RunUpStep step);
}
