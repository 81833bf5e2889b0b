package osmerin.core.runup;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A step of a run-up.
 *
 * @param key names the step within its run-up
 * @param name as people read it
 * @param estimate hours of work, 0 or more
 * @param length working days it takes; 0 is done on the day on which what it waits for is done
 * @param after keys of the steps that must be done first
 * @param offset working days from the publish day, null when only its place in the run-up decides.
 *     A step before publishing has 0 or less: it must be done by then, 0 being the publish day
 *     itself. A follow-up has 1 or more: it is due then.
 * @param followUp whether it comes after the publish day
 * @param completedBy what ticks it off, besides a person
 */
public record RunUpStep(
    String key,
    String name,
    StepRole role,
    double estimate,
    int length,
    List<String> after,
    @Nullable Integer offset,
    boolean followUp,
    Completion completedBy) {
  public RunUpStep {
    if (estimate < 0 || length < 0) {
      throw new IllegalArgumentException(
          "step " + key + ": estimate " + estimate + " and length " + length + " are 0 or more");
    }
    if (offset != null && followUp != (offset > 0)) {
      throw new IllegalArgumentException(
          "step " + key + ": offset " + offset + " lies on the wrong side of the publish day");
    }
    after = List.copyOf(after);
  }

  /** A step before publishing that is placed by the run-up alone. */
  public static RunUpStep before(
      String key, String name, StepRole role, double estimate, int length, String... after) {
    return new RunUpStep(
        key, name, role, estimate, length, List.of(after), null, false, Completion.HAND);
  }

  /** A follow-up, due so many working days after the publish day. */
  public static RunUpStep followUp(
      String key, String name, StepRole role, double estimate, int offset) {
    return new RunUpStep(key, name, role, estimate, 1, List.of(), offset, true, Completion.HAND);
  }

  /** This step, waiting for others; whether they come after publishing decides whether it does. */
  RunUpStep waitingFor(List<String> keys, boolean afterPublishing) {
    return new RunUpStep(
        key, name, role, estimate, length, keys, offset, afterPublishing, completedBy);
  }

  /** This step, completed by something else. */
  public RunUpStep completedBy(Completion completion) {
    return new RunUpStep(key, name, role, estimate, length, after, offset, followUp, completion);
  }
}
