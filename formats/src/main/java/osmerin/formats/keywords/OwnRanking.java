package osmerin.formats.keywords;

import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.PageAddress;

/**
 * Where the site's own page stands for a keyword.
 *
 * @param position from 1, null when the file does not say
 * @param page null when the file does not say
 */
public record OwnRanking(@Nullable Integer position, @Nullable PageAddress page) {}
