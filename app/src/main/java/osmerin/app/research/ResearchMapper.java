package osmerin.app.research;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Demand;
import osmerin.core.group.GroupingSettings;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Volume;

@Mapper
interface ResearchMapper {
  /** A topic with its pillar's name. */
  record TopicRow(
      long id,
      String name,
      @Nullable Long pillarGroupId,
      @Nullable String pillar,
      @Nullable Instant focusAt) {}

  /** A group without its keywords. */
  record GroupRow(
      long id,
      @Nullable Long topicId,
      @Nullable String topic,
      String name,
      int keywords,
      @Nullable Long searches,
      @Nullable Long searchesLow,
      @Nullable Long searchesHigh,
      boolean atLeast,
      @Nullable Double difficulty,
      SearchIntent intent,
      FunnelStage funnelStage,
      String intentReason,
      @Nullable Instant archivedAt,
      boolean locked,
      boolean namePinned,
      boolean intentPinned,
      @Nullable Double topicNear,
      List<String> topicWords,
      @Nullable String alsoTopic,
      @Nullable Integer wordTarget) {
    Demand demand() {
      return new Demand(volume(), atLeast, difficulty);
    }

    public @Nullable Volume volume() {
      return StoredKeyword.volume(searches, searchesLow, searchesHigh);
    }
  }

  /** A keyword in its group, and why it is there. */
  record MemberRow(
      long id,
      String text,
      @Nullable Long volume,
      @Nullable Long volumeLow,
      @Nullable Long volumeHigh,
      @Nullable Integer difficulty,
      String basis,
      int pages,
      int sharedWithPrimary,
      List<String> nearest,
      List<Integer> nearestShared,
      List<String> sharedWords,
      @Nullable Double nearPrimary,
      List<Float> nearestNear,
      boolean pinned) {
    public @Nullable Volume searches() {
      return StoredKeyword.volume(volume, volumeLow, volumeHigh);
    }
  }

  /** Lets one import of a site run at a time. */
  String lock(@Param("siteId") long siteId);

  /** A volume of a keyword as an import had it. */
  record VolumeAt(
      Instant at,
      String fileName,
      @Nullable Long volume,
      @Nullable Long volumeLow,
      @Nullable Long volumeHigh) {
    public @Nullable Volume searches() {
      return StoredKeyword.volume(volume, volumeLow, volumeHigh);
    }
  }

  /** The volumes of a keyword by import, the oldest first, the one of today last. */
  List<VolumeAt> volumes(@Param("siteId") long siteId, @Param("keywordId") long keywordId);

  /** Differs when the keywords of a site, or their ranking pages, do. */
  String keywordState(@Param("siteId") long siteId);

  /** A text and its language. */
  record SpokenText(String normal, @Nullable String language) {}

  /** Keywords of fewer known ranking pages, without those that a person lets wait. */
  List<SpokenText> fewPages(@Param("siteId") long siteId, @Param("fewer") int fewer);

  /** The tag of the language that most keywords of a site are in. */
  String siteLanguage(@Param("siteId") long siteId);

  List<StoredKeyword> keywords(@Param("siteId") long siteId);

  /** How a site groups. */
  record GroupingRow(int minShared, GroupingSettings.Mode mode, int near) {}

  List<Long> lockedGroups(@Param("siteId") long siteId);

  long countWithoutTopic(@Param("siteId") long siteId);

  /** How near the keywords of a group that meaning put there are to the primary one on average. */
  @Nullable Double meanNear(@Param("groupId") long groupId);

  /** Groups in no topic, by demand. */
  List<GroupRow> withoutTopic(@Param("siteId") long siteId);

  /** The language of each keyword that no person set, put into effect from {@code spoken}. */
  void createSpoken();

  void applySpoken(@Param("siteId") long siteId);

  void setSiteLanguage(@Param("siteId") long siteId, @Param("language") String language);

  /** How a keyword is spoken. */
  record Spoken(String text, @Nullable String language, boolean languagePinned) {}

  Optional<Spoken> spoken(@Param("siteId") long siteId, @Param("id") long id);

  int setLanguage(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("language") @Nullable String language,
      @Param("pinned") boolean pinned);

  Optional<GroupingRow> findGrouping(@Param("siteId") long siteId);

  void chooseGrouping(
      @Param("siteId") long siteId,
      @Param("minShared") int minShared,
      @Param("mode") GroupingSettings.Mode mode,
      @Param("near") int near);

  /** Says of groups that all keywords have left that they have none; of all, or of these. */
  void emptyGroups(@Param("siteId") long siteId, @Param("ids") @Nullable List<Long> ids);

  void freeArticles(@Param("siteId") long siteId);

  void removeEmptyGroups(@Param("siteId") long siteId);

  void removeEmptyTopics(@Param("siteId") long siteId);

  void setIntent(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("intent") SearchIntent intent,
      @Param("stage") FunnelStage stage,
      @Param("pinned") boolean pinned,
      @Param("reason") String reason);

  int archiveGroup(@Param("siteId") long siteId, @Param("id") long id, @Param("away") boolean away);

  List<GroupRow> archivedGroups(
      @Param("siteId") long siteId, @Param("offset") int offset, @Param("limit") int limit);

  long countArchivedGroups(@Param("siteId") long siteId);

  List<FoundResearch> findByWords(
      @Param("siteId") long siteId, @Param("pattern") String pattern, @Param("limit") int limit);

  void createMemberships();

  void applyMemberships();

  void createGroups();

  void insertNewGroups(@Param("siteId") long siteId);

  void applyGroups();

  void createJoined();

  void applyJoined();

  void createPillars();

  void applyPillars();

  /**
   * Topics by name.
   *
   * @param inSight without those that all their groups have left
   */
  List<TopicRow> topics(@Param("siteId") long siteId, @Param("inSight") boolean inSight);

  /** Of all groups in sight, or of those of one topic, what worth and coverage ask for. */
  List<GroupFigures> figures(
      @Param("siteId") long siteId, @Param("topicId") @Nullable Long topicId);

  List<GroupRow> groups(
      @Param("siteId") long siteId,
      @Param("topicId") @Nullable Long topicId,
      @Param("archivedToo") boolean archivedToo);

  List<GroupRow> groupsById(@Param("siteId") long siteId, @Param("ids") List<Long> ids);

  /** Other groups of a topic by demand, the first few. */
  List<GroupRow> beside(
      @Param("siteId") long siteId,
      @Param("topicId") long topicId,
      @Param("id") long id,
      @Param("limit") int limit);

  Optional<GroupRow> findGroup(@Param("siteId") long siteId, @Param("id") long id);

  /** Some of the keywords of a group, in no order. */
  List<MemberRow> members(@Param("groupId") long groupId, @Param("ids") List<Long> ids);

  long countKeywords(@Param("siteId") long siteId);

  long countWaiting(@Param("siteId") long siteId);

  long countOpen(@Param("siteId") long siteId);

  long countGroups(@Param("siteId") long siteId);
}
