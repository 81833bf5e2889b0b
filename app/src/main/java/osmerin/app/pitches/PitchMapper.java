package osmerin.app.pitches;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface PitchMapper {
  long insert(
      @Param("siteId") long siteId, @Param("title") String title, @Param("personId") long personId);

  List<Pitch> open(
      @Param("siteId") long siteId, @Param("offset") int offset, @Param("limit") int limit);

  Optional<Pitch> findOpen(@Param("siteId") long siteId, @Param("id") long id);

  long countOpen(@Param("siteId") long siteId);

  int commissioned(@Param("id") long id, @Param("articleId") long articleId);
}
