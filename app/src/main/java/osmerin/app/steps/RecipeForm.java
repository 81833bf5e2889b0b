package osmerin.app.steps;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.In;
import osmerin.app.runups.StepRow;
import osmerin.core.runup.Completion;
import osmerin.core.runup.RecipeRow;
import osmerin.core.runup.RunUpStep;

/** The rows of a recipe as a form shows and sends them; rows without anything are left out. */
public record RecipeForm(List<Row> rows) {
  /** Longer forms are cut: a recipe is refused long before. */
  private static final int MOST_ROWS = 200;

  /**
   * A row.
   *
   * @param person who does this very step, empty for whoever has its role
   * @param pin a due date as typed, empty for none
   */
  public record Row(RecipeRow recipe, String person, String pin) {}

  public RecipeForm {
    rows = List.copyOf(rows);
  }

  /** As it was sent: fields that repeat, in the order of the rows. */
  public static RecipeForm sent(Map<String, List<String>> fields) {
    List<Row> rows = new ArrayList<>();
    int count = Math.min(MOST_ROWS, fields.getOrDefault("name", List.of()).size());
    for (int i = 0; i < count; i++) {
      RecipeRow recipe =
          new RecipeRow(
              value(fields, "key", i),
              value(fields, "name", i),
              value(fields, "role", i),
              value(fields, "hours", i),
              value(fields, "days", i),
              value(fields, "when", i),
              completion(value(fields, "completedBy", i)));
      if (recipe.isAnything()) {
        rows.add(new Row(recipe, value(fields, "person", i), value(fields, "pin", i)));
      }
    }
    return new RecipeForm(rows);
  }

  private static String value(Map<String, List<String>> fields, String name, int at) {
    List<String> values = fields.getOrDefault(name, List.of());
    return at < values.size() && values.get(at) != null ? values.get(at).strip() : "";
  }

  private static Completion completion(String name) {
    for (Completion completion : Completion.values()) {
      if (completion.name().equals(name)) {
        return completion;
      }
    }
    return Completion.HAND;
  }

  /** The form of a type's recipe. */
  public static RecipeForm of(List<RunUpStep> steps) {
    return ofRows(RecipeRow.of(steps));
  }

  /** The form of rows that were typed as lines. */
  public static RecipeForm ofRows(List<RecipeRow> rows) {
    return new RecipeForm(rows.stream().map(row -> new Row(row, "", "")).toList());
  }

  /** The form of an article's steps. */
  public static RecipeForm ofArticle(List<StepRow> steps, LocalDate today) {
    List<RecipeRow> recipe = RecipeRow.of(steps.stream().map(StepRow::step).toList());
    List<Row> rows = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      StepRow step = steps.get(i);
      rows.add(new Row(recipe.get(i), text(step.personId()), In.dayField(step.pinned(), today)));
    }
    return new RecipeForm(rows);
  }

  private static String text(@Nullable Object value) {
    return value == null ? "" : value.toString();
  }

  public List<RecipeRow> recipe() {
    return rows.stream().map(Row::recipe).toList();
  }
}
