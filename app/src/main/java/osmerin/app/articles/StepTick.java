package osmerin.app.articles;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;
import osmerin.app.runups.StepRow;

/**
 * Whether a step is done, as history keeps it.
 *
 * @param doneOn null while it is not done
 * @param due the date it had when it was done
 */
record StepTick(
    String key, @Nullable LocalDate doneOn, @Nullable Long doneBy, @Nullable LocalDate due)
    implements Kept {

  static StepTick open(String key) {
    return new StepTick(key, null, null, null);
  }

  static StepTick before(StepRow row) {
    return new StepTick(row.key(), row.doneOn(), row.doneById(), row.doneDue());
  }
}
