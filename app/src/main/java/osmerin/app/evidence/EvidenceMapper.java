package osmerin.app.evidence;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.RankingPage;
import osmerin.core.evidence.Term;
import osmerin.core.evidence.WordRange;

@Mapper
interface EvidenceMapper {
  /** Evidence without its pages and terms. */
  record EvidenceRow(
      long id,
      String phrase,
      boolean simulated,
      Instant fetchedAt,
      @Nullable Integer wordsLow,
      @Nullable Integer wordsTarget,
      @Nullable Integer wordsHigh,
      @Nullable String say) {}

  /** A page in its place. */
  record PageRow(
      int position,
      String address,
      String title,
      List<String> headings,
      List<String> blocks,
      @Nullable PageKind kind,
      @Nullable String reason) {
    RankingPage page() {
      return new RankingPage(address, title, headings, blocks);
    }
  }

  Optional<EvidenceRow> find(@Param("siteId") long siteId, @Param("normal") String normal);

  String state(@Param("siteId") long siteId);

  long upsert(
      @Param("siteId") long siteId,
      @Param("phrase") String phrase,
      @Param("normal") String normal,
      @Param("simulated") boolean simulated,
      @Param("at") Instant at,
      @Param("words") @Nullable WordRange words,
      @Param("say") String say);

  void clearPages(@Param("id") long id);

  void clearTerms(@Param("id") long id);

  void insertPage(
      @Param("id") long id,
      @Param("position") int position,
      @Param("page") RankingPage page,
      @Param("kind") PageKind.Read kind);

  void insertTerm(@Param("id") long id, @Param("position") int position, @Param("term") Term term);

  List<PageRow> pages(@Param("id") long id);

  List<Term> terms(@Param("id") long id);

  List<PageRow> pagesElsewhere(
      @Param("siteId") long siteId, @Param("normal") String normal, @Param("limit") int limit);
}
