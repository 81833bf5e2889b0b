package osmerin.app.team;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.site.Role;

@Mapper
interface TeamMapper {
  /** Somebody's name, also when they have left. */
  record PersonName(long id, String name, String initials) {}

  /** Names of the sites on which the person works. */
  List<String> siteNames(@Param("personId") long personId);

  Optional<SignedIn> findByLogin(@Param("login") String login);

  Optional<SignedIn> findById(@Param("id") long id);

  List<Person> ofSite(@Param("siteId") long siteId);

  List<PersonName> everOnSite(@Param("siteId") long siteId);

  long count();

  long insert(
      @Param("login") String login,
      @Param("name") String name,
      @Param("initials") String initials,
      @Param("mail") @Nullable String mail,
      @Param("passwordHash") String passwordHash);

  void join(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("role") Role role,
      @Param("at") Instant at);

  /** The role of somebody who is on the site, which then nobody else changes. */
  Optional<Role> lockRole(@Param("siteId") long siteId, @Param("personId") long personId);

  int changeRole(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("from") Role from,
      @Param("to") Role to);

  int leave(
      @Param("siteId") long siteId, @Param("personId") long personId, @Param("at") Instant at);

  /** Holds every other change of the site's owners back until the transaction ends. */
  List<Long> lockOwners(@Param("siteId") long siteId);

  /** Sites of the person on which the other one is no owner. */
  long countSitesNotOwnedBy(@Param("personId") long personId, @Param("ownerId") long ownerId);

  boolean isLoginTaken(@Param("login") String login, @Param("except") long except);

  Settings settings(@Param("personId") long personId);

  void setMail(@Param("personId") long personId, @Param("mail") @Nullable String mail);

  void setSettings(
      @Param("personId") long personId,
      @Param("initials") String initials,
      @Param("settings") Settings settings);

  void setPassword(@Param("personId") long personId, @Param("hash") String hash);

  /** Holds every other set-up back until the transaction ends. */
  String lock();
}
