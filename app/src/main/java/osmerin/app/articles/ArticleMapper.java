package osmerin.app.articles;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.rounds.Round;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.runup.StepRole;

@Mapper
interface ArticleMapper {
  /** A round as it is opened. */
  record Opened(
      long articleId,
      long siteId,
      int ordinal,
      Kind kind,
      long typeId,
      Stage stage,
      @Nullable LocalDate publishDate) {}

  /** Takes so many numbers in a row; gives the first. */
  int takeNumbers(@Param("siteId") long siteId, @Param("count") int count);

  long insertBringing(@Param("siteId") long siteId);

  int archiveBroughtIn(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("away") boolean away,
      @Param("stage") Stage stage,
      @Param("zone") String zone);

  /** Rounds that articles got after they were brought in. */
  int refreshedBroughtIn(@Param("id") long id);

  long insertArticle(
      @Param("siteId") long siteId,
      @Param("number") int number,
      @Param("title") String title,
      @Param("groupId") @Nullable Long groupId);

  long insertRound(Opened opened);

  /** Removes a round with its moves; the one of the ordinal becomes current. */
  void removeRound(
      @Param("roundId") long roundId,
      @Param("articleId") long articleId,
      @Param("current") int current);

  void retireRounds(@Param("articleId") long articleId);

  void insertMove(
      @Param("roundId") long roundId,
      @Param("from") @Nullable Stage from,
      @Param("to") Stage to,
      @Param("personId") long personId);

  /** Whoever is no member of the site is left out. */
  void addPeople(
      @Param("articleId") long articleId,
      @Param("siteId") long siteId,
      @Param("role") StepRole role,
      @Param("people") List<Long> people);

  void removePeople(@Param("articleId") long articleId, @Param("role") StepRole role);

  Optional<Round> find(
      @Param("siteId") long siteId,
      @Param("number") int number,
      @Param("ordinal") @Nullable Integer ordinal);

  Optional<Round> byId(@Param("siteId") long siteId, @Param("roundId") long roundId);

  List<Round> roundsOf(@Param("articleId") long articleId);

  List<Round> open(@Param("siteId") long siteId);

  List<OpenRounds.State> openStates(@Param("siteId") long siteId);

  List<Round> withFollowUps(@Param("siteId") long siteId);

  List<Round> inDays(
      @Param("siteId") long siteId, @Param("from") LocalDate from, @Param("to") LocalDate to);

  List<Round> live(
      @Param("siteId") long siteId, @Param("offset") int offset, @Param("limit") int limit);

  List<Round> atStage(@Param("siteId") long siteId, @Param("stage") Stage stage);

  List<StageMoves.AtStage> countByStage(@Param("siteId") long siteId);

  Tally tally(@Param("siteId") long siteId);

  List<Round> byIds(@Param("siteId") long siteId, @Param("ids") Collection<Long> ids);

  List<ArticlePage.Move> moves(@Param("articleId") long articleId);

  List<GroupArticle> byGroup(@Param("siteId") long siteId);

  int setGroup(
      @Param("articleId") long articleId,
      @Param("seen") @Nullable Long seen,
      @Param("groupId") @Nullable Long groupId);

  int rename(
      @Param("articleId") long articleId, @Param("title") String title, @Param("seen") int seen);

  int setPublishDate(
      @Param("roundId") long roundId,
      @Param("from") @Nullable LocalDate from,
      @Param("to") @Nullable LocalDate to);

  int setStage(@Param("roundId") long roundId, @Param("from") Stage from, @Param("to") Stage to);

  void setType(@Param("roundId") long roundId, @Param("typeId") long typeId);

  int archive(@Param("articleId") long articleId, @Param("away") boolean away);

  List<Round> archived(
      @Param("siteId") long siteId,
      @Param("pattern") String pattern,
      @Param("number") @Nullable Integer number,
      @Param("offset") int offset,
      @Param("limit") int limit);

  long countArchived(
      @Param("siteId") long siteId,
      @Param("pattern") String pattern,
      @Param("number") @Nullable Integer number);

  List<Round> byNumbers(
      @Param("siteId") long siteId, @Param("numbers") Collection<Integer> numbers);

  List<ArticleSearch.Found> findByWords(
      @Param("siteId") long siteId,
      @Param("pattern") String pattern,
      @Param("number") @Nullable Integer number,
      @Param("limit") int limit);
}
