package osmerin.app.live;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.session.ResultHandler;
import org.jspecify.annotations.Nullable;
import osmerin.core.inventory.GroupBasis;
import osmerin.core.inventory.PageMatch;

@Mapper
interface InventoryMapper {
  /** Something that waits to be brought in. */
  record ReadingRow(UUID id, String name, Instant at) {}

  /** A page that waits. */
  record IncomingRow(
      int position,
      String address,
      String normal,
      @Nullable String title,
      @Nullable LocalDate published,
      @Nullable LocalDate changed) {}

  /** What could not be imported. */
  record ProblemRow(String place, String reason) {}

  /** A live article as it is matched. */
  record LiveRow(
      long articleId, int number, String title, String address, @Nullable Long groupId) {}

  /** A keyword of a group with its ranking pages, in their normal form. */
  record RankedRow(long groupId, @Nullable Long volume, List<String> pages) {}

  /** A keyword of a group with the own page that the latest import says ranks for it. */
  record OwnRow(long groupId, @Nullable Long volume, String page, int position) {}

  List<OwnRow> ownRanked(@Param("siteId") long siteId, @Param("addresses") List<String> addresses);

  /** A group by its name. */
  record NamedGroup(long id, String name) {}

  /** A live article with the group it answers, or may answer. */
  record MatchRow(
      long articleId,
      int number,
      String title,
      String address,
      @Nullable LocalDate liveOn,
      @Nullable LocalDate changedOn,
      boolean decided,
      @Nullable Long groupId,
      @Nullable GroupBasis groupBasis,
      @Nullable String groupName,
      @Nullable Long proposedId,
      @Nullable String proposed,
      PageMatch.@Nullable Basis basis,
      @Nullable Double sure,
      @Nullable Integer keywords,
      @Nullable Integer best) {}

  /** An article and a group for whose keywords it ranks. */
  record RankingRow(
      int number,
      String title,
      long groupId,
      String groupName,
      double sure,
      int keywords,
      int best) {}

  void insertReading(
      @Param("id") UUID id,
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("name") String name,
      @Param("at") Instant at);

  Optional<ReadingRow> findReading(@Param("siteId") long siteId, @Param("id") UUID id);

  List<IncomingRow> incoming(@Param("id") UUID id);

  List<ProblemRow> problems(@Param("id") UUID id, @Param("limit") int limit);

  long countProblems(@Param("id") UUID id);

  int deleteReading(@Param("id") UUID id);

  void deleteOldReadings(@Param("siteId") long siteId, @Param("before") Instant before);

  List<LiveRow> live(@Param("siteId") long siteId);

  List<NamedGroup> groups(@Param("siteId") long siteId);

  /** Keywords in groups for which one of the addresses ranks. */
  void ranked(
      @Param("siteId") long siteId,
      @Param("addresses") List<String> addresses,
      ResultHandler<RankedRow> handler);

  /** Whoever matches the same site waits until this transaction ends. */
  String lockMatches(@Param("siteId") long siteId);

  void deleteMatches(@Param("siteId") long siteId);

  List<MatchRow> matches(
      @Param("siteId") long siteId,
      @Param("open") boolean openOnly,
      @Param("offset") int offset,
      @Param("limit") int limit);

  /** The same of these articles. */
  List<MatchRow> matchesOf(@Param("siteId") long siteId, @Param("numbers") List<Integer> numbers);

  long countMatches(@Param("siteId") long siteId, @Param("open") boolean openOnly);

  int setGroup(
      @Param("siteId") long siteId,
      @Param("number") int number,
      @Param("groupId") @Nullable Long groupId,
      @Param("seen") @Nullable Long seen,
      @Param("basis") @Nullable GroupBasis basis);

  void setDecided(
      @Param("siteId") long siteId, @Param("number") int number, @Param("decided") boolean decided);

  List<RankingRow> rankingForSeveral(@Param("siteId") long siteId);
}
