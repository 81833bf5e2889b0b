package osmerin.app.steps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RecipeText;
import osmerin.core.runup.StepRole;

/** A recipe as bars beside its rows. */
class RecipeDrawingTest {
  private static RecipeDrawing draw(String text) {
    Set<StepRole> roles = Set.copyOf(StepRole.SHIPPED);
    Recipe recipe = Recipe.read(RecipeText.rows(text, roles, List.of()), roles);
    assertThat(recipe.faults()).isEmpty();
    return RecipeDrawing.of(recipe);
  }

  @Test
  void aBarStandsInItsColumnsAndTheLabelsCountFromThePublishDay() {
    RecipeDrawing drawing =
        draw("Brief, 45 min\nDraft, 3 h, 2 days\nProof, same day\nLook, 20 days after");

    assertThat(drawing.days())
        .extracting(RecipeDrawing.Day::label)
        .containsExactly("−3", "−2", "−1", "live", "+1", "… +20");
    double column = 100 / 6.0;
    assertThat(drawing.live()).isCloseTo(3 * column, within(1e-9));
    assertThat(drawing.bars())
        .extracting(RecipeDrawing.Bar::words)
        .containsExactly(
            "Brief: −3, decides", "Draft: −2 to −1, decides", "Proof: −1, decides", "Look: +20");
    assertThat(drawing.bars().get(1).x()).isCloseTo(column, within(1e-9));
    assertThat(drawing.bars().get(1).width()).isCloseTo(2 * column, within(1e-9));
    // What takes no day of its own is done at the end of the day.
    RecipeDrawing.Bar proof = drawing.bars().get(2);
    assertThat(proof.x() + proof.width()).isCloseTo(3 * column, within(1e-9));
    assertThat(proof.width()).isLessThan(column);
    assertThat(drawing.summary())
        .isEqualTo("4 steps, 3.75 hours, 3 working days before it goes live.");
  }

  @Test
  void aLongRecipeHasFewLabelsAndAllItsBars() {
    RecipeDrawing drawing = draw("Draft, 200 days\nEdit, editor");

    assertThat(drawing.days()).hasSize(203);
    assertThat(drawing.days()).filteredOn(d -> !d.label().isEmpty()).hasSizeLessThanOrEqualTo(14);
    assertThat(drawing.bars())
        .allSatisfy(bar -> assertThat(bar.x() + bar.width()).isBetween(0.0, 100.0 + 1e-6));
  }
}
