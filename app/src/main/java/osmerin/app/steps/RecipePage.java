package osmerin.app.steps;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.ui.Model;
import osmerin.core.runup.Completion;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.StepRole;

/** Puts the form of a recipe and its drawing on a page. */
public final class RecipePage {
  private RecipePage() {}

  /**
   * A row as the page shows it.
   *
   * @param number from 1
   * @param fault what is wrong with it, null for nothing
   */
  public record Shown(int number, RecipeForm.Row row, @Nullable String fault) {}

  /** Adds the rows with what is wrong with them; returns what they say. */
  public static Recipe show(
      Model model, RecipeForm form, Map<Integer, String> faults, Set<StepRole> roles) {
    Recipe recipe = Recipe.read(form.recipe(), Set.of());
    List<Shown> rows = new ArrayList<>();
    for (int i = 0; i < form.rows().size(); i++) {
      String fault = faults.getOrDefault(i, recipe.faults().get(i));
      rows.add(new Shown(i + 1, form.rows().get(i), fault));
    }
    model.addAttribute("rows", rows);
    model.addAttribute("stepRoles", roles);
    model.addAttribute("completions", Completion.values());
    draw(model, recipe);
    return recipe;
  }

  /** Adds the drawing, or what is wrong. */
  public static void draw(Model model, Recipe recipe) {
    model.addAttribute("recipeFaults", recipe.faults());
    model.addAttribute("drawing", recipe.isSound() ? RecipeDrawing.of(recipe) : null);
  }
}
