package osmerin.app.steps;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.rounds.Impossible;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.runups.StepRow;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.Course;
import osmerin.core.runup.PlannedStep;

/**
 * What follows when an article gets another publish date.
 *
 * @param lines the steps that are to be done yet and get another due date or do not fit
 * @param course how it then stands
 * @param deciding the steps that would have to give, where there is no time
 * @param earliest the earliest possible date
 */
public record MovePreview(
    LocalDate date, List<Line> lines, Course course, List<String> deciding, LocalDate earliest) {
  /**
   * A step.
   *
   * @param holders who does it; empty for nobody yet
   * @param before its due date now, null without a publish date
   * @param late whether it would be due before today
   * @param impossible whether there is no time for it
   * @param clash whether its pinned date lies outside of what is possible
   */
  public record Line(
      String step,
      List<Long> holders,
      @Nullable LocalDate before,
      LocalDate after,
      boolean late,
      boolean impossible,
      boolean clash) {}

  /** Compares the plan as it is with that for another date. */
  public static MovePreview of(PlannedRound now, BackPlan then, LocalDate date) {
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < now.steps().size(); i++) {
      Line line = line(now, now.steps().get(i), now.plan().steps().get(i), then.steps().get(i));
      if (line != null) {
        lines.add(line);
      }
    }
    Impossible why = Impossible.of(then, date);
    return new MovePreview(date, lines, then.course(), why.deciding(), why.earliest());
  }

  private static @Nullable Line line(
      PlannedRound now, StepRow row, PlannedStep before, PlannedStep after) {
    if (after.done() || after.due() == null) {
      return null;
    }
    Line line =
        new Line(
            row.name(),
            now.round().holders(row),
            before.due(),
            after.due(),
            after.due().isBefore(now.today()),
            after.slack() < 0 && !row.followUp(),
            after.pinConflict());
    boolean same = after.due().equals(before.due());
    return same && !line.late() && !line.impossible() && !line.clash() ? null : line;
  }

  /** Whether there is no time for it. */
  public boolean isImpossible() {
    return course == Course.IMPOSSIBLE;
  }
}
