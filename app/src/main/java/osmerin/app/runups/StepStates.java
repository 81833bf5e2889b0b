package osmerin.app.runups;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepFollowing;

/** All steps of a round together, in their order. */
public final class StepStates {
  private StepStates() {}

  public static Map<String, StepState> byKey(List<StepState> states) {
    return states.stream().collect(Collectors.toMap(StepState::key, Function.identity()));
  }

  /** The steps alone. */
  public static List<RunUpStep> steps(List<StepState> states) {
    return states.stream().map(StepState::step).toList();
  }

  /**
   * The steps of a round that follows another recipe: what is done stays, and so does what it has
   * of its own, see {@link StepFollowing}. Every step keeps its progress, person and pin.
   *
   * @param before the recipe it has its steps from
   * @return empty when what it has of its own doesn't go with the recipe
   */
  public static Optional<List<StepState>> following(
      List<StepState> own, List<RunUpStep> before, List<RunUpStep> after) {
    Set<String> done =
        own.stream().filter(StepState::isDone).map(StepState::key).collect(Collectors.toSet());
    Map<String, StepState> byKey = byKey(own);
    try {
      return Optional.of(
          StepFollowing.of(steps(own), done, before, after).stream()
              .map(step -> byKey.getOrDefault(step.key(), StepState.open(step)).with(step))
              .toList());
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** Steps as they were planned, with the progress that those still there have made since. */
  public static List<StepState> back(List<StepState> from, List<StepState> now) {
    Map<String, StepState> byKey = byKey(now);
    return from.stream()
        .map(
            was ->
                byKey
                    .getOrDefault(was.key(), was)
                    .with(was.step())
                    .with(was.personId(), was.pinned()))
        .toList();
  }

  /** Whether the same steps are planned the same; ticks aside. */
  public static boolean isPlannedAs(List<StepState> one, List<StepState> other) {
    if (one.size() != other.size()) {
      return false;
    }
    for (int i = 0; i < one.size(); i++) {
      if (!one.get(i).isPlannedAs(other.get(i))) {
        return false;
      }
    }
    return true;
  }
}
