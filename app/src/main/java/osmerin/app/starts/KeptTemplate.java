package osmerin.app.starts;

import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;

/**
 * A template as the history keeps it.
 *
 * @param typeId null for articles of any type
 * @param content a brief as JSON
 */
record KeptTemplate(@Nullable Long typeId, String name, String content) implements Kept {}
