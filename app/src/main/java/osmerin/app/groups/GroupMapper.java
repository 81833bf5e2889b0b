package osmerin.app.groups;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.GroupingSettings;

/** Keyword groups as they stand. */
@Mapper
interface GroupMapper {
  List<GroupRow> groups(
      @Param("siteId") long siteId,
      @Param("topicId") @Nullable Long topicId,
      @Param("archivedToo") boolean archivedToo);

  List<GroupRow> groupsById(@Param("siteId") long siteId, @Param("ids") List<Long> ids);

  Optional<GroupRow> findGroup(@Param("siteId") long siteId, @Param("id") long id);

  /** Groups in no topic, by demand. */
  List<GroupRow> withoutTopic(@Param("siteId") long siteId);

  long countWithoutTopic(@Param("siteId") long siteId);

  /** Other groups of a topic by demand, the first few. */
  List<GroupRow> beside(
      @Param("siteId") long siteId,
      @Param("topicId") long topicId,
      @Param("id") long id,
      @Param("limit") int limit);

  List<GroupRow> archivedGroups(
      @Param("siteId") long siteId,
      @Param("pattern") String pattern,
      @Param("offset") int offset,
      @Param("limit") int limit);

  long countArchivedGroups(@Param("siteId") long siteId, @Param("pattern") String pattern);

  /** Some of the keywords of a group, in no order. */
  List<MemberRow> members(@Param("groupId") long groupId, @Param("ids") List<Long> ids);

  /** How near the keywords of a group that meaning put there are to the primary one on average. */
  @Nullable Double meanNear(@Param("groupId") long groupId);

  /** Of all groups in sight, or of those of one topic, what worth and coverage ask for. */
  List<GroupFigures> figures(
      @Param("siteId") long siteId, @Param("topicId") @Nullable Long topicId);

  boolean hasKeywords(@Param("siteId") long siteId);

  long countKeywords(@Param("siteId") long siteId);

  long countWaiting(@Param("siteId") long siteId);

  long countOpen(@Param("siteId") long siteId);

  /** How a site groups. */
  record GroupingRow(int minShared, GroupingSettings.Mode mode, int near) {}

  Optional<GroupingRow> findGrouping(@Param("siteId") long siteId);

  void chooseGrouping(
      @Param("siteId") long siteId,
      @Param("minShared") int minShared,
      @Param("mode") GroupingSettings.Mode mode,
      @Param("near") int near);

  /** The primary keyword of a group. */
  record PrimaryRow(long groupId, String text) {}

  List<PrimaryRow> primaries(@Param("siteId") long siteId, @Param("ids") List<Long> ids);

  List<GroupState> states(@Param("siteId") long siteId, @Param("ids") List<Long> ids);

  List<GroupState> named(@Param("siteId") long siteId, @Param("name") String name);

  List<String> namesLike(
      @Param("siteId") long siteId, @Param("pattern") String pattern, @Param("limit") int limit);
}
