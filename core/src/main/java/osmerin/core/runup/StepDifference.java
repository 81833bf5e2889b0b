package osmerin.core.runup;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/** How the steps of an article differ from those of its type. */
public final class StepDifference {
  private StepDifference() {}

  /**
   * Each difference in a few words: "“Draw the kiln loading” added", "“Edit”: 3 h instead of 1.5
   * h"; empty when there is none.
   */
  public static List<String> of(List<RunUpStep> type, List<RunUpStep> own) {
    Map<String, RunUpStep> before = byKey(type);
    Map<String, RunUpStep> after = byKey(own);
    List<String> words = new ArrayList<>();
    own.stream()
        .filter(step -> !before.containsKey(step.key()))
        .forEach(step -> words.add("“%s” added".formatted(step.name())));
    type.stream()
        .filter(step -> !after.containsKey(step.key()))
        .forEach(step -> words.add("“%s” dropped".formatted(step.name())));
    for (RunUpStep step : own) {
      RunUpStep was = before.get(step.key());
      List<String> changes = was == null ? List.of() : changes(was, step, before, after);
      if (!changes.isEmpty()) {
        words.add("“%s”: %s".formatted(step.name(), String.join(", ", changes)));
      }
    }
    if (words.isEmpty() && !keys(type).equals(keys(own))) {
      words.add("in another order");
    }
    return words;
  }

  private static List<String> changes(
      RunUpStep was, RunUpStep is, Map<String, RunUpStep> before, Map<String, RunUpStep> after) {
    List<String> changes = new ArrayList<>();
    add(changes, "renamed from “" + was.name() + "”", was.name().equals(is.name()));
    add(changes, is.role() + " instead of " + was.role(), was.role().equals(is.role()));
    add(
        changes,
        "%s h instead of %s h".formatted(HoursText.of(is.estimate()), HoursText.of(was.estimate())),
        was.estimate() == is.estimate());
    add(
        changes,
        "%s instead of %s".formatted(RecipeRow.days(is.length()), RecipeRow.days(was.length())),
        was.length() == is.length());
    boolean sameWaits = waits(was, before, after).equals(waits(is, before, after));
    add(changes, "waits for other steps", sameWaits);
    boolean samePlace =
        Objects.equals(was.offset(), is.offset()) && was.followUp() == is.followUp();
    add(changes, "due at another distance from the publish day", samePlace);
    add(
        changes,
        "completed by: " + is.completedBy().label(),
        was.completedBy() == is.completedBy());
    return changes;
  }

  /** What it waits for among the steps that both have; the others are said already. */
  private static Set<String> waits(
      RunUpStep step, Map<String, RunUpStep> before, Map<String, RunUpStep> after) {
    Set<String> waits = new HashSet<>(step.after());
    waits.removeIf(key -> !before.containsKey(key) || !after.containsKey(key));
    return waits;
  }

  private static void add(List<String> changes, String words, boolean same) {
    if (!same) {
      changes.add(words);
    }
  }

  private static Map<String, RunUpStep> byKey(List<RunUpStep> steps) {
    Map<String, RunUpStep> map = new HashMap<>();
    steps.forEach(step -> map.put(step.key(), step));
    return map;
  }

  private static String keys(List<RunUpStep> steps) {
    return steps.stream().map(RunUpStep::key).collect(Collectors.joining("\n"));
  }
}
