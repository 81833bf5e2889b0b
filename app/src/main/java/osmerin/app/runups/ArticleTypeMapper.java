package osmerin.app.runups;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import osmerin.app.site.Role;
import osmerin.core.article.BriefNeed;
import osmerin.core.article.Kind;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;

@Mapper
interface ArticleTypeMapper {
  List<ArticleType> list(@Param("siteId") long siteId, @Param("kind") Kind kind);

  Optional<ArticleType> find(@Param("siteId") long siteId, @Param("id") long id);

  List<RunUpStep> steps(@Param("typeId") long typeId);

  List<RunUpStep> stepsAt(@Param("typeId") long typeId, @Param("version") int version);

  void keepFormer(@Param("typeId") long typeId, @Param("version") int version);

  /** Empty when the name is taken. */
  Optional<Long> insert(
      @Param("siteId") long siteId,
      @Param("name") String name,
      @Param("kind") Kind kind,
      @Param("cushion") int cushion,
      @Param("need") BriefNeed need);

  void removeSteps(@Param("typeId") long typeId);

  void insertSteps(@Param("typeId") long typeId, @Param("steps") List<RunUpStep> steps);

  int change(
      @Param("siteId") long siteId,
      @Param("id") long id,
      @Param("name") String name,
      @Param("cushion") int cushion,
      @Param("seen") int seen);

  boolean isNameTaken(
      @Param("siteId") long siteId,
      @Param("kind") Kind kind,
      @Param("name") String name,
      @Param("but") long but);

  List<StandingPerson> people(@Param("siteId") long siteId, @Param("typeId") long typeId);

  void setWords(
      @Param("id") long id,
      @Param("low") @Nullable Integer low,
      @Param("high") @Nullable Integer high);

  List<String> stepNames(@Param("siteId") long siteId);

  /** As lines; null when there is no such type. */
  @Nullable String linkNames(@Param("id") long id);

  void setLinkNames(@Param("id") long id, @Param("names") String names);

  void setBriefParts(@Param("id") long id, @Param("parts") String parts);

  void setSignOffBy(@Param("id") long id, @Param("role") Role role);

  void setBriefNeed(@Param("id") long id, @Param("need") BriefNeed need);

  void copyUsual(@Param("from") long from, @Param("to") long to);

  void setPerson(
      @Param("typeId") long typeId, @Param("role") StepRole role, @Param("personId") long personId);

  void removePerson(@Param("typeId") long typeId, @Param("role") StepRole role);

  int retire(@Param("siteId") long siteId, @Param("id") long id, @Param("away") boolean away);
}
