package osmerin.app.research;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

@Mapper
interface LanguageMapper {
  /** The tag of the language that most keywords of a site are in. */
  String siteLanguage(@Param("siteId") long siteId);

  void setSiteLanguage(@Param("siteId") long siteId, @Param("language") String language);

  /** The language of each keyword that no person set, put into effect from {@code spoken}. */
  void createSpoken();

  void applySpoken(@Param("siteId") long siteId);

  /** How a keyword is spoken. */
  record Spoken(String text, @Nullable String language, boolean languagePinned) {}

  Optional<Spoken> spoken(@Param("siteId") long siteId, @Param("id") long id);

  int setLanguage(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("language") @Nullable String language,
      @Param("pinned") boolean pinned);
}
