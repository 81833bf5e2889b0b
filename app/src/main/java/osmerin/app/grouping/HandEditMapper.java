package osmerin.app.grouping;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.app.grouping.Rearranging.Place;

@Mapper
interface HandEditMapper {
  List<PlaceRow> places(@Param("siteId") long siteId, @Param("ids") List<Long> ids);

  List<PlaceRow> placesIn(@Param("siteId") long siteId, @Param("groups") List<Long> groups);

  long insertEdit(@Param("siteId") long siteId);

  /** What an edit did to a keyword. */
  record EditedKeyword(
      long keywordId,
      @Nullable Long beforeGroup,
      boolean beforePinned,
      boolean beforeExcluded,
      @Nullable Long afterGroup,
      boolean afterPinned,
      boolean afterExcluded) {
    Place before() {
      return new Place(beforeGroup, beforePinned, beforeExcluded);
    }

    Place after() {
      return new Place(afterGroup, afterPinned, afterExcluded);
    }
  }

  List<EditedKeyword> edited(@Param("siteId") long siteId, @Param("editId") long editId);

  /** An article that answers a group. */
  record Answer(long articleId, int number, long groupId) {}

  List<Answer> answers(@Param("siteId") long siteId, @Param("groups") List<Long> groups);

  void follow(
      @Param("editId") long editId, @Param("articleId") long articleId, @Param("to") long to);

  int putArticles(@Param("editId") long editId, @Param("back") boolean back);

  /** Topics whose pillar has no keyword any more. */
  List<Long> topicsWithoutPillar(@Param("siteId") long siteId);

  List<Long> groupsOfTopic(@Param("siteId") long siteId, @Param("topicId") long topicId);

  void setPillar(@Param("topicId") long topicId, @Param("groupId") @Nullable Long groupId);
}
