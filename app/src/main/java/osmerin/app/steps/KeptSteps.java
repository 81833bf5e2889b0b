package osmerin.app.steps;

import java.util.List;
import osmerin.app.history.Kept;
import osmerin.app.runups.StepState;

/**
 * The steps of a round, as history keeps them.
 *
 * @param version of its type that it has them from
 */
record KeptSteps(int cushion, int version, List<StepState> steps) implements Kept {}
