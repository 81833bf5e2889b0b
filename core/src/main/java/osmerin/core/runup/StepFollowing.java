package osmerin.core.runup;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The steps of an article that follows its type to another recipe. Done steps stay. What the
 * article has otherwise than its type (a step of its own, one dropped, another estimate) stays too;
 * all else becomes what the type says now.
 */
public final class StepFollowing {
  private final Map<String, RunUpStep> own;
  private final Map<String, RunUpStep> before;
  private final Map<String, RunUpStep> after;
  private final Map<String, RunUpStep> kept = new LinkedHashMap<>();

  private StepFollowing(List<RunUpStep> own, List<RunUpStep> before, List<RunUpStep> after) {
    this.own = byKey(own);
    this.before = byKey(before);
    this.after = byKey(after);
  }

  /**
   * The steps that the article then has, in an order in which they can be done.
   *
   * @param own the article's steps
   * @param done keys of those that are done
   * @param before the type's steps as they were
   * @param after as they are to be
   * @throws IllegalArgumentException when what the article has of its own doesn't go with the
   *     recipe
   */
  public static List<RunUpStep> of(
      List<RunUpStep> own, Set<String> done, List<RunUpStep> before, List<RunUpStep> after) {
    StepFollowing following = new StepFollowing(own, before, after);
    following.keep(done);
    List<RunUpStep> steps = following.ordered();
    return new RunUp("following", 0, steps).steps();
  }

  private void keep(Set<String> done) {
    for (RunUpStep step : after.values()) {
      RunUpStep mine = own.get(step.key());
      if (mine != null) {
        boolean stays = done.contains(step.key()) || !isAsBefore(mine);
        kept.put(step.key(), stays ? mine : step);
      } else if (!before.containsKey(step.key())) {
        kept.put(step.key(), step);
      }
    }
    for (RunUpStep mine : own.values()) {
      if (done.contains(mine.key()) || !before.containsKey(mine.key())) {
        kept.putIfAbsent(mine.key(), mine);
      }
    }
  }

  /** As the type had it, but that it waits past steps that the article doesn't have. */
  private boolean isAsBefore(RunUpStep mine) {
    RunUpStep was = before.get(mine.key());
    return was != null
        && mine.waitingFor(List.of(), mine.followUp())
            .equals(was.waitingFor(List.of(), was.followUp()))
        && Set.copyOf(mine.after()).equals(waits(was, own.keySet()));
  }

  /** In the recipe's order; what is the article's own stands after what it stood after. */
  private List<RunUpStep> ordered() {
    List<String> keys =
        kept.keySet().stream().filter(after::containsKey).collect(Collectors.toList());
    String above = null;
    for (String key : own.keySet()) {
      if (kept.containsKey(key) && !after.containsKey(key)) {
        keys.add(above == null ? 0 : keys.indexOf(above) + 1, key);
      }
      above = kept.containsKey(key) ? key : above;
    }
    Map<String, RunUpStep> placed = new LinkedHashMap<>();
    keys.forEach(key -> place(key, placed, new LinkedHashSet<>()));
    return List.copyOf(placed.values());
  }

  /** What it waits for first. */
  private void place(String key, Map<String, RunUpStep> placed, Set<String> under) {
    if (placed.containsKey(key)) {
      return;
    }
    if (!under.add(key)) {
      throw new IllegalArgumentException("the steps " + under + " wait for each other");
    }
    RunUpStep step = kept.get(key);
    Set<String> waits = waits(step, kept.keySet());
    waits.forEach(other -> place(other, placed, under));
    boolean followUp =
        step.followUp() || waits.stream().anyMatch(other -> placed.get(other).followUp());
    under.remove(key);
    placed.put(key, step.waitingFor(List.copyOf(waits), followUp));
  }

  /** Who waited for a step that isn't there waits for what that one waited for. */
  private Set<String> waits(RunUpStep step, Set<String> there) {
    Set<String> waits = new LinkedHashSet<>();
    step.after().forEach(other -> reroute(other, there, waits, new HashSet<>()));
    return waits;
  }

  private void reroute(String key, Set<String> there, Set<String> waits, Set<String> seen) {
    if (there.contains(key)) {
      waits.add(key);
    } else if (seen.add(key)) {
      RunUpStep gone = own.getOrDefault(key, after.getOrDefault(key, before.get(key)));
      if (gone != null) {
        gone.after().forEach(other -> reroute(other, there, waits, seen));
      }
    }
  }

  private static Map<String, RunUpStep> byKey(List<RunUpStep> steps) {
    Map<String, RunUpStep> map = new LinkedHashMap<>();
    steps.forEach(step -> map.put(step.key(), step));
    return map;
  }
}
