package osmerin.app.sharing;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface BriefLinkMapper {
  /** A link that is made. */
  record Made(
      long siteId,
      long roundId,
      String whom,
      String token,
      boolean withCheck,
      boolean withHandIn,
      long madeBy,
      Instant madeAt,
      Instant expiresAt) {}

  void insert(@Param("link") Made link);

  Optional<BriefLink> byToken(@Param("token") String token);

  Optional<BriefLink> find(@Param("siteId") long siteId, @Param("id") long id);

  /** Those of all rounds of an article, the latest first. */
  List<BriefLink> ofArticle(@Param("articleId") long articleId);

  /** Puts when it was revoked in place of another moment; null for never. */
  int revoke(
      @Param("id") long id,
      @Param("seen") @Nullable Instant seen,
      @Param("at") @Nullable Instant at);

  void opened(@Param("id") long id, @Param("at") Instant at);
}
