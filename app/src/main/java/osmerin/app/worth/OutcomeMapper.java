package osmerin.app.worth;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.inventory.GroupBasis;
import osmerin.core.worth.StrengthFound.Stands;

@Mapper
interface OutcomeMapper {
  /**
   * A live article.
   *
   * @param byTitle the group that its title alone tells
   * @param refused whether a person said that it answers no group
   */
  record Candidate(
      int number,
      String address,
      LocalDate liveOn,
      @Nullable Long groupId,
      @Nullable GroupBasis basis,
      @Nullable Long byTitle,
      boolean refused) {}

  /**
   * A group of known difficulty with its primary keyword.
   *
   * @param pages that rank for that keyword
   */
  record JudgedGroup(long id, double difficulty, long keywordId, List<String> pages) {}

  /**
   * What an import told of who ranks for a keyword.
   *
   * @param withPages whether it named ranking pages at all
   * @param pages that ranked, as known after it
   * @param told whether it named the site's own position
   */
  record RankingRow(
      long keywordId,
      Instant at,
      boolean withPages,
      List<String> pages,
      boolean told,
      @Nullable Integer position,
      @Nullable String page) {}

  List<Candidate> candidates(@Param("siteId") long siteId);

  List<JudgedGroup> groups(@Param("siteId") long siteId, @Param("ids") List<Long> ids);

  List<RankingRow> rankings(
      @Param("siteId") long siteId, @Param("keywordIds") List<Long> keywordIds);

  /** The site's latest own positions, of keywords of known difficulty. */
  List<Stands> ownPositions(@Param("siteId") long siteId);
}
