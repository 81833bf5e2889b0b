package osmerin.app.research;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.app.research.Rearranging.Place;

@Mapper
interface HandEditMapper {
  /** Where a keyword is. */
  record PlaceRow(
      long keywordId, String text, @Nullable Long groupId, boolean pinned, boolean excluded) {
    Place place() {
      return new Place(groupId, pinned, excluded);
    }
  }

  /** A group that is about to change. */
  record GroupState(long id, @Nullable Long topicId, String name, int keywords, boolean locked) {}

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

  /** An article that answers a group. */
  record Answer(long articleId, int number, long groupId) {}

  List<PlaceRow> places(@Param("siteId") long siteId, @Param("ids") List<Long> ids);

  List<PlaceRow> placesIn(@Param("siteId") long siteId, @Param("groups") List<Long> groups);

  List<StoredKeyword> keywordsOf(
      @Param("siteId") long siteId,
      @Param("groups") List<Long> groups,
      @Param("ids") List<Long> ids);

  List<GroupState> states(@Param("siteId") long siteId, @Param("ids") List<Long> ids);

  List<GroupState> named(@Param("siteId") long siteId, @Param("name") String name);

  List<String> namesLike(
      @Param("siteId") long siteId, @Param("pattern") String pattern, @Param("limit") int limit);

  long insertEdit(@Param("siteId") long siteId);

  List<EditedKeyword> edited(@Param("siteId") long siteId, @Param("editId") long editId);

  List<Answer> answers(@Param("siteId") long siteId, @Param("groups") List<Long> groups);

  void follow(
      @Param("editId") long editId, @Param("articleId") long articleId, @Param("to") long to);

  int putArticles(@Param("editId") long editId, @Param("back") boolean back);

  void createPlaces();

  void applyPlaces();

  /** Topics whose pillar has no keyword any more. */
  List<Long> topicsWithoutPillar(@Param("siteId") long siteId);

  List<Long> groupsOfTopic(@Param("siteId") long siteId, @Param("topicId") long topicId);

  void setPillar(@Param("topicId") long topicId, @Param("groupId") @Nullable Long groupId);

  int rename(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("name") String name,
      @Param("pinned") boolean pinned,
      @Param("seen") String seen);

  int lock(@Param("siteId") long siteId, @Param("id") long id, @Param("locked") boolean locked);

  int setTopic(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("topicId") @Nullable Long topicId,
      @Param("seen") @Nullable Long seen);

  void touchTopic(@Param("siteId") long siteId, @Param("id") long id);

  Optional<Long> findTopic(@Param("siteId") long siteId, @Param("name") String name);

  long insertTopic(@Param("siteId") long siteId, @Param("name") String name);
}
