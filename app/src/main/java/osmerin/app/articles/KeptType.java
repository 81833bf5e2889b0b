package osmerin.app.articles;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;
import osmerin.app.runups.RoundRecipe;
import osmerin.app.runups.StepState;

/**
 * The article type of a round, as history keeps it.
 *
 * @param done the steps that were done when the round had it; empty once {@code steps} are kept
 * @param steps all it had; null in what was kept before steps could be changed
 * @param recipe that it had them from; null in what was kept before that was known
 */
record KeptType(
    long typeId, List<StepTick> done, @Nullable List<StepState> steps, @Nullable RoundRecipe recipe)
    implements Kept {

  static KeptType of(long typeId, RoundRecipe recipe, List<StepState> steps) {
    return new KeptType(typeId, List.of(), steps, recipe);
  }
}
