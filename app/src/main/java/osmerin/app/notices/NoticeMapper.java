package osmerin.app.notices;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.app.notices.NoticeKind.MailChoice;

@Mapper
interface NoticeMapper {
  /** A notice as it is sent. */
  record Sent(
      long personId,
      long siteId,
      NoticeKind kind,
      String text,
      String path,
      Instant at,
      boolean shown,
      boolean digest) {}

  /** A person to be told, with what they chose for the kind, null for what is shipped. */
  record Reader(
      long id,
      @Nullable String mail,
      boolean guest,
      @Nullable Boolean inApp,
      @Nullable MailChoice choice) {}

  /** A person whose daily mail is due, in the zone of one of their sites. */
  record DigestReader(long id, String mail, String name, String zone) {}

  List<Reader> readers(
      @Param("ids") Collection<Long> ids,
      @Param("siteId") long siteId,
      @Param("kind") NoticeKind kind);

  void insert(Sent sent);

  List<Notice> of(
      @Param("personId") long personId, @Param("offset") int offset, @Param("limit") int limit);

  long count(@Param("personId") long personId);

  long countUnread(@Param("personId") long personId);

  Optional<Notice> find(@Param("personId") long personId, @Param("id") long id);

  void read(
      @Param("personId") long personId, @Param("id") @Nullable Long id, @Param("at") Instant at);

  List<NoticeChoice> choices(@Param("personId") long personId);

  void choose(@Param("personId") long personId, @Param("choice") NoticeChoice choice);

  List<DigestReader> digestReaders();

  int claimDigest(@Param("personId") long personId, @Param("day") LocalDate day);

  List<Notice> takeDigest(@Param("personId") long personId);
}
