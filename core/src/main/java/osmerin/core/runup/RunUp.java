package osmerin.core.runup;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The recipe of an article type: the steps before and after the publish day.
 *
 * @param cushion working days kept between a due date and the last possible one, 0 or more
 * @param steps in an order in which they can be done
 */
public record RunUp(String name, int cushion, List<RunUpStep> steps) {
  /** Working days between a due date and the last possible one unless a run-up says otherwise. */
  public static final int DEFAULT_CUSHION = 2;

  /**
   * @throws IllegalArgumentException when two steps have one key, a step waits for one that does
   *     not stand before it (so there are no circles), a step before publishing waits for a
   *     follow-up, or one thing completes two steps
   */
  public RunUp {
    if (cushion < 0) {
      throw new IllegalArgumentException("cushion " + cushion + " is below 0");
    }
    steps = List.copyOf(steps);
    Map<String, RunUpStep> seen = new HashMap<>();
    Set<Completion> completions = EnumSet.noneOf(Completion.class);
    for (RunUpStep step : steps) {
      for (String key : step.after()) {
        RunUpStep earlier = seen.get(key);
        if (earlier == null) {
          throw new IllegalArgumentException(
              "step " + step.key() + " waits for " + key + ", which is no step before it");
        }
        if (earlier.followUp() && !step.followUp()) {
          throw new IllegalArgumentException(
              "step " + step.key() + " before publishing waits for the follow-up " + key);
        }
      }
      if (seen.put(step.key(), step) != null) {
        throw new IllegalArgumentException("two steps have the key " + step.key());
      }
      if (step.completedBy() != Completion.HAND && !completions.add(step.completedBy())) {
        throw new IllegalArgumentException(
            "two steps are completed by: " + step.completedBy().label());
      }
    }
  }

  /** Hours of work in all. */
  public double hours() {
    return steps.stream().mapToDouble(RunUpStep::estimate).sum();
  }

  /** The steps before publishing. */
  List<RunUpStep> beforePublishing() {
    return steps.stream().filter(step -> !step.followUp()).toList();
  }

  /** For each step the steps that wait for it. */
  Map<String, List<RunUpStep>> followers() {
    Map<String, List<RunUpStep>> followers = new HashMap<>();
    for (RunUpStep step : steps) {
      step.after().forEach(key -> followers.computeIfAbsent(key, k -> new ArrayList<>()).add(step));
    }
    return followers;
  }

  Set<String> keys() {
    Set<String> keys = new HashSet<>();
    steps.forEach(step -> keys.add(step.key()));
    return keys;
  }
}
