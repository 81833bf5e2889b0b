package osmerin.app.guests;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface GuestMapper {
  /** A link as it is made. */
  record MadeLink(
      long personId,
      long articleId,
      String token,
      boolean withBrief,
      Instant now,
      Instant expiresAt) {}

  /** A file as it is downloaded. */
  record StoredFile(String name, byte[] content) {}

  void insertGuest(
      @Param("personId") long personId, @Param("siteId") long siteId, @Param("mail") String mail);

  /** The guest of the site with the address, whether they are on it or have left. */
  Optional<Long> findGuest(@Param("siteId") long siteId, @Param("mail") String mail);

  int rename(
      @Param("personId") long personId,
      @Param("name") String name,
      @Param("initials") String initials);

  long insertLink(MadeLink madeLink);

  /** The last link of every guest of an article, whether it works or not. */
  List<GuestLink> ofArticle(@Param("articleId") long articleId);

  Optional<GuestLink> byToken(@Param("token") String token);

  /** 0 when the link is revoked or of another article. */
  int extend(
      @Param("articleId") long articleId,
      @Param("id") long id,
      @Param("expiresAt") Instant expiresAt);

  int setWithBrief(
      @Param("articleId") long articleId, @Param("id") long id, @Param("shown") boolean shown);

  int revoke(@Param("articleId") long articleId, @Param("id") long id, @Param("at") Instant at);

  void opened(@Param("id") long id, @Param("at") Instant at);

  void insertNote(
      @Param("link") GuestLink link, @Param("text") String text, @Param("at") Instant at);

  void insertFile(
      @Param("link") GuestLink link,
      @Param("name") String name,
      @Param("content") byte[] content,
      @Param("at") Instant at);

  /** Bytes of all files that the guest handed in for the article. */
  long bytesOf(@Param("link") GuestLink link);

  /** What one guest left for an article, or all of them did. */
  List<HandedIn> handedIn(
      @Param("articleId") long articleId, @Param("personId") @Nullable Long personId);

  Optional<StoredFile> file(@Param("articleId") long articleId, @Param("id") long id);
}
