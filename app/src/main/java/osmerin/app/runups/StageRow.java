package osmerin.app.runups;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.Phase;
import osmerin.core.runup.StepRole;

/**
 * A stage as it is stored.
 *
 * @param acts names of the acts that lead to it
 */
record StageRow(
    long id,
    String name,
    Phase phase,
    int place,
    List<String> acts,
    @Nullable StepRole role,
    @Nullable Long personId,
    @Nullable Integer dueDays,
    String ticks,
    String adds,
    String comesBy) {}
