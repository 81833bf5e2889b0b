package osmerin.app.near;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** The texts of a site that others are compared with. */
@Mapper
interface NearMapper {
  /**
   * A text.
   *
   * @param key number of an article, id of a pitch or group
   * @param groupId the group that an article or pitch answers, or that it is; 0 for none
   * @param live whether it is of an article that is live
   */
  record TextRow(Kind kind, long key, String text, long groupId, boolean live) {}

  /**
   * The latest articles and open pitches, and the groups of most demand.
   *
   * @param most of each kind
   */
  List<TextRow> texts(@Param("siteId") long siteId, @Param("most") int most);
}
