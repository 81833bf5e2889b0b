package osmerin.app.team;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import osmerin.app.platform.security.SignedIn;

@Mapper
interface TeamMapper {
  Optional<SignedIn> findByLogin(@Param("login") String login);

  List<Person> ofSite(@Param("siteId") long siteId);

  long count();

  long insert(
      @Param("login") String login,
      @Param("name") String name,
      @Param("initials") String initials,
      @Param("passwordHash") String passwordHash);

  void join(
      @Param("siteId") long siteId, @Param("personId") long personId, @Param("role") Role role);

  /** Holds every other set-up back until the transaction ends. */
  String lock();
}
