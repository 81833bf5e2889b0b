package osmerin.app.articles;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.runup.StepRole;

/**
 * One pass of an article through the work, together with what is known of its article.
 *
 * @param latest whether it is the article's current round
 * @param publishHour at which it is published by itself on its publish date, null for by hand
 * @param liveOn the day it went live in the site's zone
 * @param attemptedAt when publishing was last begun, null when it never was
 * @param failure why publishing failed, null when it did not
 */
public record Round(
    long id,
    long articleId,
    String prefix,
    int number,
    String title,
    int version,
    @Nullable Long groupId,
    @Nullable String liveAddress,
    boolean liveSimulated,
    int ordinal,
    boolean latest,
    Kind kind,
    long typeId,
    String typeName,
    int cushion,
    Stage stage,
    @Nullable LocalDate publishDate,
    @Nullable LocalTime publishHour,
    @Nullable Instant archivedAt,
    @Nullable Instant liveAt,
    @Nullable LocalDate liveOn,
    @Nullable Instant attemptedAt,
    @Nullable Instant failedAt,
    @Nullable String failure,
    Instant startedAt,
    @Nullable Long strategistId,
    @Nullable Long editorId,
    @Nullable Long writerId) {

  /** "MP-0158". */
  public String reference() {
    return new osmerin.core.article.ReferenceNumber(prefix, number).toString();
  }

  /** The day on which it stands in the calendar; null when it has none. */
  public @Nullable LocalDate day() {
    return liveOn != null ? liveOn : publishDate;
  }

  /** Who does steps of the role; null when nobody is named yet. */
  public @Nullable Long person(StepRole role) {
    return switch (role) {
      case STRATEGIST -> strategistId;
      case EDITOR -> editorId;
      case WRITER -> writerId;
    };
  }

  /** Whether the person does steps of some role. */
  public boolean isOf(long personId) {
    return Stream.of(StepRole.values())
        .map(this::person)
        .anyMatch(person -> person != null && person == personId);
  }

  public boolean isArchived() {
    return archivedAt != null;
  }

  public boolean isLive() {
    return liveOn != null;
  }

  public boolean isRefresh() {
    return kind == Kind.REFRESH;
  }
}
