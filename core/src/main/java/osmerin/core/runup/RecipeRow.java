package osmerin.core.runup;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import osmerin.core.text.Counted;

/**
 * A step of a recipe as a person types it; nothing is checked yet.
 *
 * @param key of the step it was before, empty for a new one
 * @param hours "1.5", "2 h" or "90 min"
 * @param days "2", "2 days" or "same day"
 * @param when what it waits for, or its place against the publish day: "draft the text, 3", "20
 *     days after", "2 days before", "publish day"
 */
public record RecipeRow(
    String key,
    String name,
    String role,
    String hours,
    String days,
    String when,
    Completion completedBy) {

  /** Whether anything was typed; a row without a name, time or place is none. */
  public boolean isAnything() {
    return !name.isBlank() || !when.isBlank() || !hours.isBlank();
  }

  /** The row that a step is read from again. */
  static RecipeRow of(RunUpStep step, List<RunUpStep> steps) {
    return new RecipeRow(
        step.key(),
        step.name(),
        step.role().name(),
        HoursText.of(step.estimate()),
        days(step.length()),
        when(step, steps),
        step.completedBy());
  }

  /** The rows of a recipe. */
  public static List<RecipeRow> of(List<RunUpStep> steps) {
    return steps.stream().map(step -> of(step, steps)).toList();
  }

  /** "same day", "3 days". */
  static String days(int length) {
    return length == 0 ? "same day" : Counted.of(length, "day");
  }

  /** What a step waits for, in the words in which it is typed; empty for nothing. */
  static String when(RunUpStep step, List<RunUpStep> steps) {
    List<String> parts = new ArrayList<>();
    for (String key : step.after()) {
      parts.add(reference(key, steps));
    }
    if (step.offset() != null) {
      parts.add(place(step.offset()));
    } else if (step.followUp() && step.after().stream().noneMatch(k -> isFollowUp(k, steps))) {
      parts.add("after publishing");
    }
    return String.join(", ", parts);
  }

  private static boolean isFollowUp(String key, List<RunUpStep> steps) {
    return steps.stream().anyMatch(s -> s.key().equals(key) && s.followUp());
  }

  /** Its name, or where that could be read as something else its number. */
  private static String reference(String key, List<RunUpStep> steps) {
    int at = indexOf(key, steps);
    String name = steps.get(at).name().toLowerCase(Locale.ROOT);
    Integer read = StepReference.find(name, steps.stream().map(RunUpStep::name).toList());
    boolean plain = When.parts(name).equals(List.of(name)) && When.isReference(name);
    return plain && read != null && read == at ? name : String.valueOf(at + 1);
  }

  private static int indexOf(String key, List<RunUpStep> steps) {
    for (int i = 0; i < steps.size(); i++) {
      if (steps.get(i).key().equals(key)) {
        return i;
      }
    }
    throw new IllegalArgumentException("no step " + key);
  }

  private static String place(int offset) {
    if (offset == 0) {
      return When.PUBLISH_DAY;
    }
    return Counted.of(Math.abs(offset), "day") + (offset > 0 ? " after" : " before");
  }
}
