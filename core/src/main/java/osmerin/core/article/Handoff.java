package osmerin.core.article;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.StepRole;
import osmerin.core.workday.WorkCalendar;

/**
 * What happens when an article enters a stage.
 *
 * @param role whose turn it is then, and who is told; null for nobody
 * @param person whose turn it is on every article, in place of a role; null for that of the role
 * @param dueDays within so many working days that role's next step is due; null for as planned
 * @param ticks name of a step that is done by it, empty for none
 * @param adds steps the article gets, as lines of a recipe; empty for none
 * @param comesBy name of a step: ticking it moves an article here; empty for none
 */
public record Handoff(
    @Nullable StepRole role,
    @Nullable Long person,
    @Nullable Integer dueDays,
    String ticks,
    String adds,
    String comesBy) {
  /** Nothing happens. */
  public static final Handoff NONE = new Handoff(null, null, null, "", "", "");

  /** Whether steps change by it, not only that somebody is told. */
  public boolean changesSteps() {
    return dueDays != null || !ticks.isEmpty() || !adds.isEmpty();
  }

  /**
   * The due date that the next step is pinned to.
   *
   * @param latest until when it must be done by the plan, null while there is no publish date
   * @return null when the plan's own is as early, or nothing is set
   */
  public @Nullable LocalDate pin(
      LocalDate today, @Nullable LocalDate latest, WorkCalendar calendar) {
    if (dueDays == null) {
      return null;
    }
    LocalDate working = calendar.plus(today, dueDays);
    LocalDate due = working.isBefore(today) ? calendar.onOrAfter(today) : working;
    return latest != null && !due.isBefore(latest) ? null : due;
  }
}
