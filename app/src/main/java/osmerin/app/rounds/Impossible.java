package osmerin.app.rounds;

import java.time.LocalDate;
import java.util.List;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.Course;
import osmerin.core.runup.RunUpStep;

/**
 * A publish date for which there is no time.
 *
 * @param deciding names of the steps that decide
 * @param earliest the earliest possible date
 */
public record Impossible(LocalDate wanted, List<String> deciding, LocalDate earliest) {
  /** Whether a plan is impossible on its date. */
  public static boolean is(BackPlan plan) {
    return plan.course() == Course.IMPOSSIBLE;
  }

  public static Impossible of(BackPlan plan, LocalDate wanted) {
    return new Impossible(
        wanted, plan.deciding().stream().map(RunUpStep::name).toList(), plan.earliestPublishDate());
  }
}
