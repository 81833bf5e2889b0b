package osmerin.app.research;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Demand;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;

@Mapper
interface ResearchMapper {
  /** A topic with its pillar's name. */
  record TopicRow(long id, String name, @Nullable Long pillarGroupId, @Nullable String pillar) {}

  /** A group without its keywords. */
  record GroupRow(
      long id,
      @Nullable Long topicId,
      @Nullable String topic,
      String name,
      int keywords,
      @Nullable Long searches,
      boolean atLeast,
      @Nullable Double difficulty,
      SearchIntent intent,
      FunnelStage funnelStage,
      String intentReason,
      @Nullable Instant archivedAt) {
    Demand demand() {
      return new Demand(searches, atLeast, difficulty);
    }
  }

  /** A keyword in its group, and why it is there. */
  record MemberRow(
      String text,
      @Nullable Long volume,
      @Nullable Integer difficulty,
      String basis,
      int pages,
      int sharedWithPrimary,
      List<String> nearest,
      List<Integer> nearestShared,
      List<String> sharedWords) {}

  /** A file that waits. */
  record UploadedFile(UUID id, String name, byte[] content) {}

  /** An import as it is listed. */
  record ImportRow(
      long id,
      String fileName,
      String person,
      Instant at,
      int read,
      int added,
      int changed,
      int unchanged,
      int repeated,
      int rejected,
      @Nullable Instant undoneAt) {}

  /** A row that could not be read. */
  record ProblemRow(long line, String text, String reason, boolean rejected) {}

  /** Lets one import of a site run at a time. */
  String lock(@Param("siteId") long siteId);

  void insertFile(
      @Param("id") UUID id,
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("name") String name,
      @Param("content") byte[] content);

  Optional<UploadedFile> findFile(@Param("id") UUID id, @Param("siteId") long siteId);

  void deleteFile(@Param("id") UUID id);

  /** What the columns under a header held. */
  record KnownHeader(List<String> columns) {}

  Optional<KnownHeader> findHeader(
      @Param("siteId") long siteId, @Param("header") List<String> header);

  void rememberHeader(
      @Param("siteId") long siteId,
      @Param("header") List<String> header,
      @Param("columns") List<String> columns);

  void deleteOldFiles(@Param("siteId") long siteId);

  long insertImport(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("fileName") String fileName,
      @Param("report") ImportReport report);

  Optional<ImportRow> findImport(@Param("siteId") long siteId, @Param("id") long id);

  List<ImportRow> imports(@Param("siteId") long siteId, @Param("limit") int limit);

  List<ProblemRow> problems(@Param("importId") long importId, @Param("limit") int limit);

  List<StoredKeyword> keywords(@Param("siteId") long siteId);

  List<Long> takeIds(@Param("table") String table, @Param("count") int count);

  void createMet();

  void keepBefore(@Param("importId") long importId);

  void markMet(@Param("importId") long importId);

  /** A later import that holds keywords of this one, with their number. */
  record LaterImport(String fileName, Instant at, int keywords) {}

  Optional<LaterImport> findLater(@Param("importId") long importId);

  /** A group that this import alone brought and that an article answers. */
  record UsedGroup(String name, int number) {}

  List<UsedGroup> usedGroups(@Param("siteId") long siteId, @Param("importId") long importId);

  void putBefore(@Param("importId") long importId);

  void removeAdded(@Param("siteId") long siteId, @Param("importId") long importId);

  void freeArticles(@Param("siteId") long siteId);

  void removeEmptyGroups(@Param("siteId") long siteId);

  void removeEmptyTopics(@Param("siteId") long siteId);

  int markUndone(@Param("siteId") long siteId, @Param("importId") long importId);

  int archiveGroup(@Param("siteId") long siteId, @Param("id") long id, @Param("away") boolean away);

  List<GroupRow> archivedGroups(
      @Param("siteId") long siteId, @Param("offset") int offset, @Param("limit") int limit);

  long countArchivedGroups(@Param("siteId") long siteId);

  List<FoundResearch> findByWords(
      @Param("siteId") long siteId, @Param("pattern") String pattern, @Param("limit") int limit);

  void createChanged();

  void applyChanged();

  void createMemberships();

  void applyMemberships();

  void createGroups();

  void insertNewGroups(@Param("siteId") long siteId);

  void applyGroups();

  void createPillars();

  void applyPillars();

  List<TopicRow> topics(@Param("siteId") long siteId);

  List<GroupRow> groups(
      @Param("siteId") long siteId,
      @Param("topicId") @Nullable Long topicId,
      @Param("archivedToo") boolean archivedToo);

  Optional<GroupRow> findGroup(@Param("siteId") long siteId, @Param("id") long id);

  List<MemberRow> members(@Param("groupId") long groupId);

  long countKeywords(@Param("siteId") long siteId);

  long countOpen(@Param("siteId") long siteId, @Param("answered") Collection<Long> answeredGroups);

  long countGroups(@Param("siteId") long siteId);
}
