package osmerin.app.keywords;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.session.ResultHandler;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Volume;

@Mapper
interface KeywordMapper {
  /** A keyword as the ledger shows it. */
  record KeywordRow(
      long id,
      String text,
      @Nullable Long volume,
      @Nullable Long volumeLow,
      @Nullable Long volumeHigh,
      @Nullable Integer difficulty,
      @Nullable BigDecimal cost,
      @Nullable SearchIntent intent,
      int pages,
      @Nullable Long groupId,
      @Nullable String groupName,
      @Nullable Long topicId,
      @Nullable String topic,
      @Nullable String fileName,
      boolean pinned,
      boolean covered,
      @Nullable Integer ownPosition,
      @Nullable String ownPage) {
    public @Nullable Volume searches() {
      return Volume.of(volume, volumeLow, volumeHigh);
    }
  }

  Optional<KeywordRow> find(@Param("siteId") long siteId, @Param("id") long id);

  /** An intent that a person gave, what it was before, and what it is now. */
  record IntentRow(
      long keywordId,
      String text,
      @Nullable SearchIntent beforeIntent,
      @Nullable SearchIntent afterIntent,
      @Nullable SearchIntent intent) {
    boolean isAt(boolean after) {
      return intent == (after ? afterIntent : beforeIntent);
    }
  }

  /** How many match, and how many of them are folded under another. */
  record Counts(long all, long folded) {}

  Counts counts(@Param("siteId") long siteId, @Param("f") KeywordFilter filter);

  /** One that matches, and whether it is folded under another. */
  record Found(long id, boolean folded) {}

  /** The first so many that match, in no order. */
  List<Found> found(
      @Param("siteId") long siteId, @Param("f") KeywordFilter filter, @Param("limit") int limit);

  /** Close variants that these keywords stand for. */
  List<VariantRow> variants(@Param("siteId") long siteId, @Param("ids") List<Long> ids);

  /** A close variant and the keyword that stands for it. */
  record VariantRow(
      long representative,
      String text,
      String normal,
      @Nullable Long volume,
      @Nullable Long volumeLow,
      @Nullable Long volumeHigh) {
    public @Nullable Volume searches() {
      return Volume.of(volume, volumeLow, volumeHigh);
    }
  }

  void keepIntents(
      @Param("editId") long editId,
      @Param("ids") List<Long> ids,
      @Param("intent") SearchIntent intent);

  void putIntents(@Param("editId") long editId, @Param("after") boolean after);

  List<IntentRow> intents(@Param("siteId") long siteId, @Param("editId") long editId);

  /**
   * A page of those that match.
   *
   * @param few all that match, where that is known; otherwise null
   */
  List<KeywordRow> rows(
      @Param("siteId") long siteId,
      @Param("f") KeywordFilter filter,
      @Param("few") @Nullable List<Long> few,
      @Param("offset") int offset,
      @Param("limit") int limit);

  void all(
      @Param("siteId") long siteId,
      @Param("f") KeywordFilter filter,
      ResultHandler<KeywordRow> handler);

  /** A volume of a keyword as an import had it. */
  record VolumeAt(
      Instant at,
      String fileName,
      @Nullable Long volume,
      @Nullable Long volumeLow,
      @Nullable Long volumeHigh) {
    public @Nullable Volume searches() {
      return Volume.of(volume, volumeLow, volumeHigh);
    }
  }

  /** The volumes of a keyword by import, the oldest first, the one of today last. */
  List<VolumeAt> volumes(@Param("siteId") long siteId, @Param("keywordId") long keywordId);
}
