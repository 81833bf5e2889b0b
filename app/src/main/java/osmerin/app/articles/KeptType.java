package osmerin.app.articles;

import java.util.List;
import osmerin.app.history.Kept;

/**
 * The article type of a round, as history keeps it.
 *
 * @param done the steps that were done when the round had it
 */
record KeptType(long typeId, List<StepTick> done) implements Kept {}
