package osmerin.app.research;

import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;

/** A keyword of the site with its id and its group; {@code groupId} is null before it has one. */
record KnownKeyword(long id, Keyword keyword, @Nullable Long groupId) {}
