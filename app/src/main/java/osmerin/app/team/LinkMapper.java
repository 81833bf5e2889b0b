package osmerin.app.team;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.app.site.Role;

/** One-time links. */
@Mapper
interface LinkMapper {
  /** An invitation as it is sent. */
  record Invited(
      long siteId,
      String mail,
      Role role,
      byte[] tokenHash,
      long personId,
      Instant at,
      Instant expiresAt) {}

  long invite(Invited invited);

  List<Invitation> open(@Param("siteId") long siteId, @Param("now") Instant now);

  Optional<Invitation> find(@Param("tokenHash") byte[] tokenHash, @Param("now") Instant now);

  int accept(@Param("id") long id, @Param("now") Instant now);

  int revoke(@Param("siteId") long siteId, @Param("id") long id, @Param("now") Instant now);

  void insertPasswordLink(
      @Param("tokenHash") byte[] tokenHash,
      @Param("personId") long personId,
      @Param("expiresAt") Instant expiresAt);

  Optional<Long> findPerson(@Param("tokenHash") byte[] tokenHash, @Param("now") Instant now);

  /** The same; whoever asks next waits until this transaction ends. */
  Optional<Long> lockPerson(@Param("tokenHash") byte[] tokenHash, @Param("now") Instant now);

  void insertMailChange(
      @Param("personId") long personId,
      @Param("mail") String mail,
      @Param("tokenHash") byte @Nullable [] tokenHash,
      @Param("expiresAt") Instant expiresAt);

  Optional<MailChange> findMailChange(
      @Param("tokenHash") byte[] tokenHash, @Param("now") Instant now);

  /** Those without a link, of people of a site. */
  List<MailChange> mailChangesOf(@Param("siteId") long siteId, @Param("now") Instant now);

  int useMailChange(@Param("id") long id, @Param("now") Instant now);

  void endMailChanges(@Param("personId") long personId, @Param("now") Instant now);

  void endPasswordLinks(@Param("personId") long personId, @Param("now") Instant now);
}
