package osmerin.core.runup;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A recipe as text, one step a line in order: "Write the draft, writer, 6 h, 3 days, after the
 * brief". Everything but the name may be missing: then a step is the writer's, takes one working
 * day and waits for the step above it.
 */
public final class RecipeText {
  /** A comma between two digits is a decimal one: "1,5 h". */
  private static final Pattern BETWEEN = Pattern.compile("(?<!\\d),|,(?!\\d)");

  private RecipeText() {}

  /**
   * The rows of a typed recipe; {@link Recipe#read} says what is wrong with them.
   *
   * @param before the recipe that is changed by typing: a step that keeps its name keeps its key
   *     and what completes it
   */
  public static List<RecipeRow> rows(String typed, Set<StepRole> roles, List<RunUpStep> before) {
    List<RecipeRow> rows = new ArrayList<>();
    for (String line : typed.lines().map(String::strip).filter(l -> !l.isEmpty()).toList()) {
      rows.add(row(line, roles, before, rows.size()));
    }
    return rows;
  }

  /** The text that a recipe is read from again. */
  public static String of(List<RunUpStep> steps) {
    StringBuilder text = new StringBuilder();
    for (RunUpStep step : steps) {
      RecipeRow row = RecipeRow.of(step, steps);
      text.append(row.name())
          .append(", ")
          .append(row.role())
          .append(", ")
          .append(row.hours())
          .append(" h, ")
          .append(RecipeRow.days(step.length()))
          .append(when(row.when()))
          .append('\n');
    }
    return text.toString();
  }

  private static String when(String when) {
    if (when.isEmpty()) {
      return ", at once";
    }
    return When.isReference(When.parts(when).get(0)) ? ", after " + when : ", " + when;
  }

  private static RecipeRow row(
      String line, Set<StepRole> roles, List<RunUpStep> before, int above) {
    List<String> name = new ArrayList<>();
    List<String> when = new ArrayList<>();
    String role = StepRole.WRITER.name();
    String hours = "";
    String days = "";
    for (String part : BETWEEN.split(line)) {
      String lower = part.strip().toLowerCase(Locale.ROOT);
      if (name.isEmpty()) {
        name.add(part.strip());
      } else if (HoursText.hasUnit(lower)) {
        hours = lower;
      } else if (Recipe.isDays(lower)) {
        days = lower;
      } else if (When.isWhen(lower) || !when.isEmpty()) {
        when.add(lower);
      } else if (isRole(lower, roles)) {
        role = lower;
      } else {
        name.add(part.strip());
      }
    }
    String whole = String.join(", ", name);
    RunUpStep same = same(whole, before);
    return new RecipeRow(
        same == null ? "" : same.key(),
        whole,
        role,
        hours,
        days,
        when.isEmpty() && above > 0 ? String.valueOf(above) : String.join(", ", when),
        same == null ? Completion.HAND : same.completedBy());
  }

  private static boolean isRole(String text, Set<StepRole> roles) {
    return roles.stream().anyMatch(role -> role.name().equals(text));
  }

  private static RunUpStep same(String name, List<RunUpStep> before) {
    return before.stream().filter(s -> s.name().equalsIgnoreCase(name)).findFirst().orElse(null);
  }
}
