package osmerin.app.research;

import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;

/**
 * The language of a keyword, as history keeps it.
 *
 * @param pinned whether a person said so; otherwise it is guessed
 */
record KeptLanguage(@Nullable String tag, boolean pinned) implements Kept {}
