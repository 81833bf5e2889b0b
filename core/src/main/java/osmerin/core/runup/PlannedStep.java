package osmerin.core.runup;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A step with its dates. For a step that is done, or an article without a publish date, only {@code
 * due} may be set, and only for the former.
 *
 * @param earliestEnd the first day on which it can be done, starting today
 * @param latestEnd the last day on which it can be done for the publish date to hold
 * @param due the day people see: the latest end less the cushion, or the day a person pinned
 * @param slack site working days after the earliest end up to and with the latest one; negative
 *     whenever the earliest end is later
 * @param pinConflict whether a pinned due date lies outside earliest and latest end
 */
public record PlannedStep(
    RunUpStep step,
    boolean done,
    @Nullable LocalDate earliestStart,
    @Nullable LocalDate earliestEnd,
    @Nullable LocalDate latestStart,
    @Nullable LocalDate latestEnd,
    @Nullable LocalDate due,
    @Nullable Integer slack,
    boolean pinConflict) {}
