package osmerin.app.rounds;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import osmerin.app.runups.StepRow;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;

/**
 * One pass of an article through the work.
 *
 * @param ordinal from 1 in its article
 * @param latest whether it is the article's current round
 * @param cushion working days of its article type
 * @param onSteps people who are named for single steps
 * @param hold why it is on hold, null when it is not
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
    Instant startedAt,
    List<Long> onSteps,
    @Nullable Hold hold) {

  /** A row of which nothing about publishing is known yet brings none. */
  public Round {
    publication = Objects.requireNonNullElse(publication, Publication.NOT_BEGUN);
    onSteps = List.copyOf(onSteps);
  }

  /** The same with another cushion. */
  public Round withCushion(int days) {
    return new Round(
        id,
        article,
        ordinal,
        latest,
        kind,
        typeId,
        typeName,
        days,
        stage,
        publishDate,
        publication,
        startedAt,
        onSteps,
        hold);
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

  /** Who does a step; null when nobody is named. Of several it is whoever leads. */
  public @Nullable Long holder(StepRow step) {
    return StepRow.holder(step.personId(), article.lead(step.role()));
  }

  /** All who do a step; whoever leads comes first, empty for nobody. */
  public List<Long> holders(StepRow step) {
    return step.personId() != null ? List.of(step.personId()) : article.people(step.role());
  }

  /** Whether the person does steps of some role, or one of the steps. */
  public boolean isOf(long personId) {
    return article.names(personId) || onSteps.contains(personId);
  }

  public boolean isArchived() {
    return article.archivedAt() != null;
  }

  public boolean isLive() {
    return publication.liveOn() != null;
  }

  public boolean isOnHold() {
    return hold != null && !isLive();
  }

  public boolean isRefresh() {
    return kind == Kind.REFRESH;
  }
}
