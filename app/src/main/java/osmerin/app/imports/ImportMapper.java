package osmerin.app.imports;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.session.ResultHandler;
import org.jspecify.annotations.Nullable;

/** Uploads, imports and what they changed. */
@Mapper
interface ImportMapper {
  /** A file that waits. */
  record UploadedFile(UUID id, String name, byte[] content) {}

  /** An import as it is listed. */
  record ImportRow(
      long id,
      String fileName,
      String person,
      Instant at,
      int read,
      int added,
      int changed,
      int unchanged,
      int repeated,
      int rejected,
      @Nullable Instant undoneAt,
      int excluded) {}

  /** A row that could not be read. */
  record ProblemRow(long line, String text, String reason, String value, boolean rejected) {}

  /** How often one thing was wrong. */
  record ProblemTotal(String reason, boolean rejected, int rows) {}

  /** What the columns under a header held. */
  record KnownHeader(List<String> columns) {}

  /** A header that a file was imported with. */
  record HeaderNames(List<String> names) {}

  /** A keyword whose figures an import changed, with both; see {@code changed}. */
  record FigureChange(
      long id,
      String text,
      @Nullable Long groupId,
      @Nullable Long volumeBefore,
      @Nullable Long volume,
      @Nullable Integer difficultyBefore,
      @Nullable Integer difficulty,
      int pagesBefore,
      int pages) {}

  /** A later import that holds keywords of this one, with their number. */
  record LaterImport(String fileName, Instant at, int keywords) {}

  /** A group that this import alone brought and that an article answers. */
  record UsedGroup(String name, int number) {}

  void insertFile(
      @Param("id") UUID id,
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("name") String name,
      @Param("content") byte[] content);

  Optional<UploadedFile> findFile(@Param("id") UUID id, @Param("siteId") long siteId);

  Optional<KnownHeader> findHeader(
      @Param("siteId") long siteId, @Param("header") List<String> header);

  List<HeaderNames> headerNames(@Param("siteId") long siteId);

  void rememberHeader(
      @Param("siteId") long siteId,
      @Param("header") List<String> header,
      @Param("columns") List<String> columns);

  void deleteFile(@Param("id") UUID id);

  void deleteOldFiles(@Param("siteId") long siteId);

  long insertImport(
      @Param("siteId") long siteId,
      @Param("personId") long personId,
      @Param("fileName") String fileName,
      @Param("report") ImportReport report,
      @Param("withPages") boolean withPages);

  Optional<ImportRow> findImport(@Param("siteId") long siteId, @Param("id") long id);

  List<ImportRow> imports(
      @Param("siteId") long siteId, @Param("offset") int offset, @Param("limit") int limit);

  long countImports(@Param("siteId") long siteId);

  /** Keywords whose figures an import changed, the greatest change of volume first. */
  List<FigureChange> figureChanges(
      @Param("siteId") long siteId,
      @Param("importId") long importId,
      @Param("offset") int offset,
      @Param("limit") int limit);

  long countFigureChanges(@Param("importId") long importId);

  List<ProblemRow> problems(@Param("importId") long importId, @Param("limit") int limit);

  List<ProblemTotal> problemTotals(@Param("importId") long importId);

  void eachProblem(@Param("importId") long importId, ResultHandler<ProblemRow> each);

  List<String> ownPages(@Param("siteId") long siteId, @Param("importId") long importId);

  int countOwn(@Param("siteId") long siteId, @Param("importId") long importId);

  void createMet();

  void keepBefore(@Param("importId") long importId);

  void markMet(@Param("importId") long importId);

  Optional<LaterImport> findLater(@Param("importId") long importId);

  List<UsedGroup> usedGroups(@Param("siteId") long siteId, @Param("importId") long importId);

  void putBefore(@Param("importId") long importId);

  void removeAdded(@Param("siteId") long siteId, @Param("importId") long importId);

  int markUndone(@Param("siteId") long siteId, @Param("importId") long importId);

  void createChanged();

  void applyChanged();
}
