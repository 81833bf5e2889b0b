package osmerin.app.steps;

import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;

/** What a step took, as history keeps it; null hours when nobody said. */
record KeptHours(String key, @Nullable Double hours) implements Kept {}
