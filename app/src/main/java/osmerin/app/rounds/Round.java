package osmerin.app.rounds;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.runup.StepRole;

/**
 * One pass of an article through the work.
 *
 * @param ordinal from 1 in its article
 * @param latest whether it is the article's current round
 * @param cushion working days of its article type
 */
public record Round(
    long id,
    Article article,
    int ordinal,
    boolean latest,
    Kind kind,
    long typeId,
    String typeName,
    int cushion,
    Stage stage,
    @Nullable LocalDate publishDate,
    Publication publication,
    Instant startedAt) {

  /** A row of which nothing about publishing is known yet brings none. */
  public Round {
    publication = Objects.requireNonNullElse(publication, Publication.NOT_BEGUN);
  }

  /** "MP-0158". */
  public String reference() {
    return article.reference();
  }

  /** Of its article. */
  public String title() {
    return article.title();
  }

  /** The day on which it stands in the calendar; null when it has none. */
  public @Nullable LocalDate day() {
    return isLive() ? publication.liveOn() : publishDate;
  }

  /** Who does steps of the role; null when nobody is named yet. */
  public @Nullable Long person(StepRole role) {
    return switch (role) {
      case STRATEGIST -> article.strategistId();
      case EDITOR -> article.editorId();
      case WRITER -> article.writerId();
    };
  }

  /** Whether the person does steps of some role. */
  public boolean isOf(long personId) {
    return Stream.of(StepRole.values())
        .map(this::person)
        .anyMatch(person -> person != null && person == personId);
  }

  public boolean isArchived() {
    return article.archivedAt() != null;
  }

  public boolean isLive() {
    return publication.liveOn() != null;
  }

  public boolean isRefresh() {
    return kind == Kind.REFRESH;
  }
}
