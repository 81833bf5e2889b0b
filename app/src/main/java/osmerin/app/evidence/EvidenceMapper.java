package osmerin.app.evidence;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.Term;
import osmerin.core.evidence.WordRange;

@Mapper
interface EvidenceMapper {
  /** Evidence as it is drawn. */
  record Drawn(
      long siteId,
      String phrase,
      String normal,
      boolean simulated,
      @Nullable String about,
      Instant at,
      List<String> missing) {}

  /** Evidence without its pages and terms. */
  record EvidenceRow(
      long id,
      String phrase,
      String normal,
      boolean simulated,
      Instant fetchedAt,
      @Nullable Integer wordsLow,
      @Nullable Integer wordsTarget,
      @Nullable Integer wordsHigh,
      @Nullable String say,
      boolean byMeaning,
      @Nullable String about,
      List<String> missing) {}

  /** A page in its place; its blocks and signs as JSON. */
  record PageRow(
      int position,
      PageOrigin origin,
      boolean leftOut,
      String address,
      String title,
      String parts,
      String signs,
      @Nullable PageKind kind,
      @Nullable String reason) {}

  Optional<EvidenceRow> find(@Param("siteId") long siteId, @Param("normal") String normal);

  Optional<EvidenceRow> byId(@Param("siteId") long siteId, @Param("id") long id);

  Optional<EvidenceRow> ofGroup(@Param("siteId") long siteId, @Param("groupId") long groupId);

  /** Until the end of the transaction nobody else begins evidence for the phrase. */
  String lockPhrase(@Param("siteId") long siteId, @Param("normal") String normal);

  /** The same, and nobody changes it before the end of the transaction. */
  Optional<EvidenceRow> lock(@Param("siteId") long siteId, @Param("id") long id);

  /** Fetched before the latest one, that first. */
  List<EvidenceService.Earlier> earlier(
      @Param("siteId") long siteId, @Param("normal") String normal);

  String state(@Param("siteId") long siteId);

  /** From now on there is a later one. */
  void retire(@Param("siteId") long siteId, @Param("normal") String normal);

  long insert(Drawn drawn);

  void drawn(
      @Param("id") long id,
      @Param("at") Instant at,
      @Param("words") @Nullable WordRange words,
      @Param("say") String say,
      @Param("byMeaning") boolean byMeaning);

  /** What they say by meaning, unless it changed in between. */
  int said(@Param("id") long id, @Param("changedAt") Instant changedAt, @Param("say") String say);

  Instant changedAt(@Param("id") long id);

  /** The keyword it was searched for. */
  String phrase(@Param("id") long id);

  void clearTerms(@Param("id") long id);

  void insertPage(@Param("id") long id, @Param("page") PageRow page);

  void updatePage(@Param("id") long id, @Param("page") PageRow page);

  int removePage(@Param("id") long id, @Param("position") int position);

  void insertTerm(@Param("id") long id, @Param("position") int position, @Param("term") Term term);

  List<PageRow> pages(@Param("id") long id);

  List<Term> terms(@Param("id") long id);

  List<PageRow> pagesElsewhere(
      @Param("siteId") long siteId, @Param("normal") String normal, @Param("limit") int limit);
}
