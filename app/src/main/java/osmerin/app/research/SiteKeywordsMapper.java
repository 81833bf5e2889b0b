package osmerin.app.research;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** What is read of the stored keywords of a site. */
@Mapper
interface SiteKeywordsMapper {
  /** Lets one import of a site run at a time. */
  String lock(@Param("siteId") long siteId);

  /** Differs when the keywords of a site, or their ranking pages, do. */
  String keywordState(@Param("siteId") long siteId);

  /** A text and its language. */
  record SpokenText(String normal, @Nullable String language) {}

  /** Keywords of fewer known ranking pages, without those that a person lets wait. */
  List<SpokenText> fewPages(@Param("siteId") long siteId, @Param("fewer") int fewer);

  List<StoredKeyword> keywords(@Param("siteId") long siteId);

  List<StoredKeyword> keywordsNamed(
      @Param("siteId") long siteId, @Param("normals") List<String> normals);

  List<StoredKeyword> keywordsOf(
      @Param("siteId") long siteId,
      @Param("groups") List<Long> groups,
      @Param("ids") List<Long> ids);
}
